import type { ResolvedLimit } from "../knowledge/types";
import type { Drawing } from "./drawing";
import type { JobFacts } from "./facts";
import type { Attributes, Part, Value } from "./part";
import type { School } from "./schools";
import type { From, Source } from "./source";

/** A figure of a rule: written down, a row of the limits, or one for each school of a setting. */
export type Amount =
  | number
  | { readonly limit: string }
  | { readonly school: string; readonly of: Readonly<Record<string, number | { readonly limit: string }>> };

/** How what is offered is held against what is needed. */
export type Rule =
  /** The same word, or the same number. */
  | { readonly kind: "same" }
  /** A size in metres or another unit, equal within an absolute tolerance. */
  | { readonly kind: "size"; readonly within: number }
  /** A value that may be off by a share: for good up to `note`, for a while up to `temporary`. `cap` is never passed. */
  | { readonly kind: "share"; readonly note: Amount; readonly temporary: Amount; readonly cap: Amount }
  /** Never less; where `more` stands, more is a note, and over that share it is refused. */
  | { readonly kind: "at-least"; readonly more?: Amount }
  /** Never more; less by up to `slack` fits with a note, less than that fails in its own way. */
  | { readonly kind: "at-most"; readonly slack: number }
  /**
   * A printed range: its lower end never under, its upper end over by a share at most. Ends alike within `alike` are the same.
   * One figure alone, a range of no width, is held by any range that it lies in; it may be off by `assumed`, either way.
   */
  | { readonly kind: "span"; readonly alike: number; readonly upper: Amount; readonly assumed: Amount }
  /** Classes from the best to the least: never a lower one. */
  | { readonly kind: "order"; readonly from: readonly string[] }
  /** What may stand in for what, with the code of its note; all else is rejected. `*` stands for any. */
  | {
      readonly kind: "instead";
      readonly notes: Readonly<Record<string, Readonly<Record<string, string>>>>;
      /** What a school lets stand in beside these, by its setting and choice. */
      readonly bySchool?: {
        readonly school: string;
        readonly choice: string;
        readonly notes: Readonly<Record<string, Readonly<Record<string, string>>>>;
      };
    }
  /** A maker's number: the same, or one that replaces it. */
  | { readonly kind: "number" }
  /** A length that can be taken off, never put on. */
  | { readonly kind: "trim"; readonly within: number };

/** One attribute of a family of parts. */
export interface AttributeSpec {
  readonly label: string;
  /** SI unit in which its figures are printed. */
  readonly unit?: string;
  /** Words of its list, by what is kept, for one that is chosen from a list. */
  readonly choices?: Readonly<Record<string, string>>;
  readonly rule: Rule;
  /** Hard ones decide and must be known; `when-known` decide where the old part states them; soft ones are a note at worst. */
  readonly isHard: boolean | "when-known";
  /** Whether its rejection is one of safety: no school and no setting lets it pass. */
  readonly isSafety?: true;
  /** Whether it is a rating for the mains: what is printed as direct is none. */
  readonly isAlternating?: true;
  /** Whether it is asked of the machine and weighs on the rest: no part states it, and none is judged by it. */
  readonly isOfMachine?: true;
  /** Whether the old part may have drifted: what it measures is not what it was made for. */
  readonly wears?: true;
  /** Minutes to read or measure it. */
  readonly minutes: number;
  /** How it is found. */
  readonly how: string;
}

/** What may never be fitted, whatever fits: no setting touches it. */
export interface Never {
  readonly id: string;
  readonly said: string;
  when(need: Attributes, part: Attributes): boolean;
}

/** A part that goes with the one that is fitted, on the same order. */
export interface GoesWith {
  readonly label: string;
  readonly why: string;
  readonly count: number;
  readonly priceMinor: number;
  when?(need: Attributes, part: Attributes): boolean;
}

/** What becomes of a part out of another machine: never fitted, or what is to be seen to first; each says why. */
export type Used = { readonly never: string } | { readonly note: string };

/**
 * What holds of a need beside what its attributes say one by one. What `keeps` leaves the attribute open, so that nothing can be
 * chosen; else it is a note on all that fits.
 */
export interface Reserve {
  readonly attribute: string;
  readonly keeps: boolean;
  readonly said: string;
}

/** A row of the limits as it holds in this shop, and whether somebody checked it. */
export type Row = Pick<ResolvedLimit, "value" | "reviewed">;

/** What is known of an attribute, and from where. */
export interface Known {
  readonly value: Value | undefined;
  readonly from: From | undefined;
}

/** A part as its room lists it; the price list gives it a number and a name of who sells it. */
export type Listed = Omit<Part, "id" | "family" | "supplier">;

/** How the sections of one part are those of single ones. */
interface Sections {
  readonly family: string;
  /** The attributes of the sections. */
  readonly of: readonly string[];
  /** What each of them is in a single part. */
  readonly as: string;
  /** What holds of a single part beside that. */
  readonly also: Attributes;
  /** Attributes that both have. */
  readonly carries: readonly string[];
}

/** A way in which several parts, or one of another kind, stand in the place of one; `said` is how it is fitted. */
export type Together = { readonly said: string } & (
  | {
      /** Two side by side whose values add up. */
      readonly kind: "add";
      readonly attribute: string;
      when?(need: Attributes): boolean;
    }
  /** One pressed into another, by the attributes of what is inside and outside. */
  | { readonly kind: "nest"; readonly inside: string; readonly outside: string }
  /** One section of a part of another kind. */
  | ({ readonly kind: "section" } & Sections)
  /** Single parts of another kind, one for each section. */
  | ({ readonly kind: "split" } & Sections)
);

/** A family of parts: the one room in which all of it stands. */
export interface Family {
  readonly id: string;
  readonly title: string;
  /** Attributes in the order in which they are told. */
  readonly attributes: Readonly<Record<string, AttributeSpec>>;
  readonly never: readonly Never[];
  /** Schools of substitution by the setting's id. */
  readonly schools: Readonly<Record<string, School>>;
  /** Notes of `instead` rules, and of the family's own. */
  readonly notes: Readonly<Record<string, string>>;
  readonly goesWith: readonly GoesWith[];
  /** What else may stand in the place of one. */
  readonly together?: readonly Together[];
  readonly used: Used;
  /** Notes, by their code, that the owner has to know: they stand in the letter. */
  readonly tellsOwner?: readonly string[];
  /** How many are fitted together as a rule; one where it is left out. */
  readonly fitted?: number;
  /** The attribute by which a price list of it is searched first, exact or within its rule. */
  readonly key: string;
  /** What of it is measured and looked at, and where. */
  readonly drawing: Drawing;
  /** What is printed on such a part, read; undefined where it says nothing of one. */
  readMark?(text: string): Attributes | undefined;
  /** What is known of it from the job it is for. */
  fromJob?(facts: JobFacts): readonly Source[];
  /** What holds the need back, or is said with all that fits. */
  reserves?(
    known: Readonly<Record<string, Known>>,
    facts: JobFacts,
    rowOf: (row: string) => Row,
  ): readonly Reserve[];
  /** Parts on real standard series, made up in price only. */
  series(): Iterable<Listed>;
}

/** The choice of each school that holds: as set, or the default. */
export type Schools = Readonly<Record<string, string>>;

export function chosenSchools({ schools }: Pick<Family, "schools">, set: Schools): Schools {
  return Object.fromEntries(
    Object.entries(schools).map(([id, { choices }]) => [
      id,
      choices.find(({ value }) => value === set[id])?.value ?? choices[0]?.value ?? "",
    ]),
  );
}

/** Whether a value can be one of the attribute's at all. */
export function isOfKind({ rule, choices }: AttributeSpec, value: Value): boolean {
  if (choices) return typeof value === "string" && Object.hasOwn(choices, value);
  if (rule.kind === "span") return typeof value === "object";
  if (rule.kind === "number") return typeof value === "string" && value !== "";
  if (rule.kind === "same") return typeof value !== "object";
  return typeof value === "number" && Number.isFinite(value);
}
