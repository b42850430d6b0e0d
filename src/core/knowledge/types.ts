import type { InferType } from "yup";
import type { Fault } from "./fault-page.input";
import type { provenance } from "./fields.input";
import type { Move } from "./move-page.input";
import type { ROWS, TableName } from "./tables.input";

export type { Effect, Fault, Fix, Mode } from "./fault-page.input";
export type { AnswerRef, Chance, Move, MoveCase, NumberCase } from "./move-page.input";
export type { When } from "./when";

/** Where a page or row comes from, and whether someone has checked it against the source itself. */
export type Provenance = Readonly<InferType<ReturnType<typeof provenance>>>;

/** A row of a table with its id, as it was loaded. */
export type Row<T extends TableName> = Readonly<Omit<InferType<(typeof ROWS)[T]>, "provenance">> & {
  readonly id: string;
  readonly provenance: Provenance;
};

export type Source = Row<"sources">;
export type Family = Row<"families">;
export type LimitRow = Row<"limits">;
export type ParameterRow = Row<"parameters">;
export type Station = Row<"stations">;
export type Archetype = Row<"archetypes">;
export type Repair = Row<"repairs">;
export type Access = Row<"access">;
export type Region = Row<"regions">;
export type ComplaintSign = Row<"signs">;
export type DeadCheck = Row<"deadChecks">;
export type Hazard = Row<"hazards">;
export type SeenFault = Row<"seen">;
export type RecallNotice = Row<"recalls">;
export type KitItem = Row<"kit">;
export type Inseparable = Row<"inseparable">;
export type Protection = Row<"protections">;
export type TouchWords = Row<"touchWords">;
export type Alias = Row<"aliases">;

export type StoreId = Family["stores"][number];

export interface Knowledge {
  /** Hash of the content: two programs with the same version give the same answers. */
  readonly version: string;
  readonly moves: readonly Move[];
  readonly faults: readonly Fault[];
  readonly sources: readonly Source[];
  readonly families: readonly Family[];
  readonly limits: readonly LimitRow[];
  readonly parameters: readonly ParameterRow[];
  readonly archetypes: readonly Archetype[];
  readonly stations: readonly Station[];
  readonly repairs: readonly Repair[];
  readonly access: readonly Access[];
  readonly regions: readonly Region[];
  readonly signs: readonly ComplaintSign[];
  readonly deadChecks: readonly DeadCheck[];
  readonly hazards: readonly Hazard[];
  readonly seen: readonly SeenFault[];
  readonly recalls: readonly RecallNotice[];
  readonly kit: readonly KitItem[];
  readonly inseparable: readonly Inseparable[];
  readonly protections: readonly Protection[];
  readonly touchWords: readonly TouchWords[];
  readonly aliases: readonly Alias[];
}

/** A limit as it holds in this shop, with where it came from. */
export interface ResolvedLimit {
  readonly id: string;
  readonly value: number;
  readonly unit: string;
  readonly label: string;
  readonly relation: LimitRow["relation"];
  readonly appliesWhen: LimitRow["appliesWhen"];
  /** A source id, or `shop` where the shop has set its own. */
  readonly source: string;
  readonly reviewed: boolean;
}

export type Limits = Readonly<Record<string, ResolvedLimit>>;
