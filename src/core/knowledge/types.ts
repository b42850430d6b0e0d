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

export interface Move {
  readonly id: string;
  readonly title: string;
  readonly tool?: string | undefined;
  readonly minutes: number;
  readonly tier: 1 | 2 | 3;
  readonly needs: BenchNeed;
  readonly outcomes: readonly string[];
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
  readonly provenance: Provenance;
}

export interface DeadCheck {
  readonly id: string;
  readonly label: string;
  readonly how: string;
  readonly quantity: "seen" | "resistance" | "insulation";
  readonly classes: readonly string[];
  /** Limit rows, the first whose `appliesWhen` holds decides. */
  readonly limits: readonly string[];
  readonly provenance: Provenance;
}

export interface KitItem {
  readonly id: string;
  readonly label: string;
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
  readonly moves: readonly Move[];
  readonly regions: readonly Region[];
  readonly signs: readonly ComplaintSign[];
  readonly deadChecks: readonly DeadCheck[];
  readonly kit: readonly KitItem[];
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
