/** Where a row comes from, and whether someone has checked it against the source itself. */
export interface Provenance {
  readonly basis: "standard" | "manufacturer" | "literature" | "counted" | "judgement";
  readonly source: string;
  readonly place: string;
  readonly reviewed: boolean;
}

export interface Source {
  readonly id: string;
  readonly title: string;
  readonly provenance: Provenance;
}

/** A motor family; `stores` names what can hold charge in it, by hard exclusion. */
export interface Family {
  readonly id: string;
  readonly label: string;
  readonly clue: string;
  readonly stores: readonly StoreId[];
  /** Stations such a machine usually has; none where isolation does not cover the family. */
  readonly stations: readonly string[];
  /** How often a motor of unknown kind is of this family. */
  readonly share?: number | undefined;
  /** What can be done about a family that isolation does not cover, and what cannot. */
  readonly scope?: { readonly within: readonly string[]; readonly outside: readonly string[] } | undefined;
  readonly provenance: Provenance;
}

/** What can hold a charge: `any` stands for "the family is not known, so something may". */
export type StoreId = "start" | "run" | "bus" | "any";

export interface LimitRow {
  readonly id: string;
  readonly label: string;
  readonly quantity: string;
  readonly unit: string;
  readonly relation: "at-least" | "at-most";
  readonly value: number;
  readonly region?: string | undefined;
  readonly appliesWhen?: string | undefined;
  readonly source: string;
  /** A safety row can be tightened by a shop, never loosened. */
  readonly safety?: boolean | undefined;
  readonly provenance: Provenance;
}

/** What a move needs of the machine before hands or probes go to it. */
export type BenchNeed = "none" | "plug-out" | "hands-inside";

/** Anything the repairer can do to learn. */
export interface Move {
  readonly id: string;
  readonly title: string;
  readonly kind: "question" | "look" | "feel" | "reading" | "trial";
  readonly tool?: string | undefined;
  readonly minutes: number;
  /** Minutes added for what can hurt: a price on hazard, never a permit. */
  readonly hazardMinutes: number;
  readonly tier: 1 | 2 | 3;
  readonly needs: BenchNeed;
  /** Whether power is on while it is done: what a cured consequence may come back at. */
  readonly powered: boolean;
  /** What must be open or off for it; opened once, it costs nothing more. */
  readonly access?: string | undefined;
  readonly families: readonly string[];
  /** Stations that the machine must have for this move. */
  readonly stations: readonly string[];
  readonly how: string;
  /** How the meter is set. */
  readonly setting?: string | undefined;
  /** What misleads here. */
  readonly pitfall?: string | undefined;
  /** What it takes beside a meter, and the move to make where the shop does not own it. */
  readonly kit?: string | undefined;
  readonly instead?: string | undefined;
  /** Answers that already say what this would ask: after one of them it is not offered. */
  readonly settledBy?: readonly { readonly moveId: string; readonly outcomeId: string }[] | undefined;
  readonly outcomes: readonly string[];
  /** Outcome id to the answer as it stands on the button. */
  readonly words: Readonly<Record<string, string>>;
  readonly provenance: Provenance;
}

/** A place along the way electricity becomes motion. */
export interface Station {
  readonly id: string;
  readonly label: string;
  readonly order: number;
  /** Whether it is part of the motor: another motor brings a new one. */
  readonly inMotor: boolean;
  readonly provenance: Provenance;
}

/** Something done to cure a fault: minutes at the bench and the part, minor units. */
export interface Repair {
  readonly id: string;
  readonly label: string;
  /** The same once it is done, as the log and the owner's sheet say it. */
  readonly done: string;
  readonly minutes: number;
  readonly partMinor: number;
  readonly partFamily?: string | undefined;
  /** Small parts that move over from the old part to the new one. */
  readonly carries?: readonly string[] | undefined;
  readonly provenance: Provenance;
}

/** A kind of machine the shop meets: its motor, and the stations it has beside or short of that family's usual ones. */
export interface Archetype {
  readonly id: string;
  readonly label: string;
  readonly family: string;
  readonly adds: readonly string[];
  readonly lacks: readonly string[];
  /** Hazards that every machine of this kind brings. */
  readonly hazards: readonly string[];
  readonly provenance: Provenance;
}

/** One of a closed list of conditions a machine can be in; values run from good to bad. */
export interface Condition {
  readonly id: string;
  readonly values: readonly string[];
  /** `local`: set by a fault at its station; `derived`: follows along the power path. */
  readonly kind: "local" | "derived";
  readonly provenance: Provenance;
}

/** A repair of a fault, with the chance that it cures. */
export interface Fix {
  readonly repair: string;
  readonly success: number;
}

export interface Fault {
  readonly id: string;
  readonly label: string;
  readonly station: string;
  readonly families: readonly string[];
  /** Starting odds as a root, by family; they need not sum to one. */
  readonly odds: Readonly<Record<string, number>>;
  /** What it brings about, with the chance that it does. */
  readonly leadsTo: readonly { readonly fault: string; readonly chance: number }[];
  readonly provenBy: readonly { readonly moveId: string; readonly outcomeId: string }[];
  /** The usual cure and the chance that it cures. */
  readonly fix: Fix;
  /** What is done when the usual cure does not hold, in that order. */
  readonly ladder?: readonly Fix[] | undefined;
  /** Chance that it shows in a powered run; below one it is intermittent. */
  readonly shows: number;
  /** What can hurt while it is there. */
  readonly hazard?: string | undefined;
  readonly provenance: Provenance;
}

/** What a fault does to its station in a circumstance. */
export interface Effect {
  readonly id: string;
  readonly fault: string;
  readonly circumstance: "any" | "cold" | "hot" | "loaded";
  readonly sets: Readonly<Record<string, string>>;
  /** Signs seen at the part itself, whatever else is wrong. */
  readonly signs: readonly string[];
  readonly provenance: Provenance;
}

export type When = {
  readonly condition?: string | undefined;
  readonly is?: string | undefined;
  readonly sign?: string | undefined;
  readonly otherwise?: boolean | undefined;
};

/**
 * One answer of a move in one case. A move's cases are tried in the order of the file;
 * the first that holds gives the chances of its answers.
 */
export interface OutcomeRow {
  readonly id: string;
  readonly moveId: string;
  readonly when: When;
  readonly outcomeId: string;
  readonly p: number;
  readonly low: number;
  readonly high: number;
  readonly provenance: Provenance;
}

/** Distribution of a measured quantity in one case: log-normal, as a ratio to the mark. */
export interface NumericRow {
  readonly id: string;
  readonly moveId: string;
  readonly quantity: string;
  readonly when: When;
  readonly median: number;
  readonly spread: number;
  readonly provenance: Provenance;
}

/** A capacitor that can be had: as its sheet states it. */
export interface CapacitorPart {
  readonly id: string;
  readonly label: string;
  readonly role: "start" | "run" | "not-known";
  readonly minMicrofarads?: number | undefined;
  readonly maxMicrofarads?: number | undefined;
  readonly nominalMicrofarads?: number | undefined;
  readonly tolerance?: number | undefined;
  readonly voltsAc: number;
  readonly dielectric: "film" | "electrolytic";
  readonly polarised: boolean;
  readonly hasResistor: boolean;
  readonly lifeClass?: string | undefined;
  readonly protectionClass?: string | undefined;
  readonly priceMinor: number;
  readonly days: number;
  readonly provenance: Provenance;
}

/** Something that must be opened or taken off, and how long that takes. */
export interface Access {
  readonly id: string;
  readonly label: string;
  readonly minutes: number;
  readonly provenance: Provenance;
}

export interface Region {
  readonly id: string;
  readonly label: string;
  readonly volts: number;
  readonly hertz: number;
  readonly leads: { readonly line: string; readonly neutral: string; readonly earth: string };
  readonly provenance: Provenance;
}

export interface ComplaintSign {
  readonly id: string;
  readonly sense: "seen" | "heard" | "smelt" | "felt";
  readonly label: string;
  /** The stop rule that this sign starts, in words. */
  readonly stop?: string | undefined;
  /** The answers to questions that this sign amounts to. */
  readonly tells?: readonly { readonly moveId: string; readonly outcomeId: string }[] | undefined;
  readonly provenance: Provenance;
}

/** What in a machine can hurt, what is done about it, and what is left to others. */
export interface Hazard {
  readonly id: string;
  readonly label: string;
  readonly caution: string;
  /** What is done before hands go in; the line is ticked once it is done. */
  readonly act: string;
  /** What it follows from; `said`: only from what was said at the door or is known of its kind. */
  readonly follows: "said" | "mains" | "charge" | "electronics" | "battery" | "heater" | "family";
  readonly families: readonly string[];
  /** Whether the door asks for it. */
  readonly asked: boolean;
  /** When the work ends here. */
  readonly stop?: string | undefined;
  /** Whose work it is then. */
  readonly trade?: string | undefined;
  readonly provenance: Provenance;
}

/** A fault that can be plainly seen, the look that proves it, and the repair that mends it. */
export interface SeenFault {
  readonly id: string;
  readonly label: string;
  readonly moveId: string;
  readonly outcomeId: string;
  readonly repair: string;
  readonly provenance: Provenance;
}

/** A recall notice the shop keeps: words of the plate that name the machine, and what to do. */
export interface RecallNotice {
  readonly id: string;
  readonly label: string;
  readonly words: readonly string[];
  readonly notice: string;
  readonly provenance: Provenance;
}

export interface DeadCheck {
  readonly id: string;
  readonly label: string;
  readonly how: string;
  readonly quantity: "seen" | "resistance" | "insulation" | "current";
  readonly classes: readonly string[];
  /** The check it may stand for, where that one cannot be taken. */
  readonly insteadOf?: string | undefined;
  /** What the machine must be like for it: plug out, or powered behind a residual-current device. */
  readonly needs: "plug-out" | "powered";
  /** Limit rows, the first whose `appliesWhen` holds decides. */
  readonly limits: readonly string[];
  readonly provenance: Provenance;
}

export interface KitItem {
  readonly id: string;
  readonly label: string;
  readonly provenance: Provenance;
}

/** Faults that no move tells apart: shown as one suspect, cured by one repair. */
export interface Inseparable {
  readonly id: string;
  readonly faults: readonly string[];
  readonly reason: string;
  readonly repair: string;
  readonly provenance: Provenance;
}

/** Old id to the id that replaced it. */
export interface Alias {
  readonly id: string;
  readonly now: string;
  readonly provenance: Provenance;
}

export interface Knowledge {
  /** Hash of the content: two programs with the same version give the same answers. */
  readonly version: string;
  readonly sources: readonly Source[];
  readonly families: readonly Family[];
  readonly limits: readonly LimitRow[];
  readonly archetypes: readonly Archetype[];
  readonly moves: readonly Move[];
  readonly stations: readonly Station[];
  readonly conditions: readonly Condition[];
  readonly faults: readonly Fault[];
  readonly repairs: readonly Repair[];
  readonly effects: readonly Effect[];
  readonly outcomes: readonly OutcomeRow[];
  readonly numeric: readonly NumericRow[];
  readonly access: readonly Access[];
  readonly capacitors: readonly CapacitorPart[];
  readonly regions: readonly Region[];
  readonly signs: readonly ComplaintSign[];
  readonly deadChecks: readonly DeadCheck[];
  readonly hazards: readonly Hazard[];
  readonly seen: readonly SeenFault[];
  readonly recalls: readonly RecallNotice[];
  readonly kit: readonly KitItem[];
  readonly inseparable: readonly Inseparable[];
  readonly aliases: readonly Alias[];
}

/** A limit as it holds in this shop, with where it came from. */
export interface ResolvedLimit {
  readonly value: number;
  readonly unit: string;
  readonly label: string;
  readonly relation: LimitRow["relation"];
  /** A source id, or `shop` where the shop has set its own. */
  readonly source: string;
  readonly reviewed: boolean;
}

export type Limits = Readonly<Record<string, ResolvedLimit>>;
