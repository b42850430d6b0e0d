import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { MotorKind } from "@/core/tools/motor-kinds";

/** Ohms that a winding of a kind mostly has. */
export interface Usual {
  readonly least: number;
  readonly most: number;
  readonly leastId: string;
  readonly mostId: string;
}

/** Kinds whose ohms a range says anything of, and whether it goes with the square of the mains volts. */
const ROWS: Partial<Readonly<Record<MotorKind, string>>> = {
  "permanent-split-capacitor": "winding-run-capacitor",
  "shaded-pole": "winding-shaded-pole",
  synchronous: "winding-synchronous",
  "capacitor-start": "winding-main",
  "split-phase": "winding-main",
  universal: "winding-field",
};

/** The limit rows that ranges stand in. */
export const RANGE_LIMITS = [...new Set(Object.values(ROWS))].flatMap((row) => [
  `${row}-least`,
  `${row}-most`,
]);

/** Volts that the rows hold for. */
const AT_VOLTS = 230;

/**
 * What is usual for a kind at its volts: the rows hold for 230 V, and go with the square of the volts, as windings of the
 * same watts do. Ohms. Source: shop-practice, physics.
 * @example a run-capacitor motor of 230 V: 50 to 500 Ω across its start circuit
 */
export function usualFor(kind: MotorKind, volts: number | undefined, limits: Limits): Usual | undefined {
  const row = ROWS[kind];
  if (row === undefined || volts === undefined || volts <= 0) return undefined;
  const scale = (volts / AT_VOLTS) ** 2;
  const [least, most] = [limitOf(limits, `${row}-least`), limitOf(limits, `${row}-most`)];
  return { least: least.value * scale, most: most.value * scale, leastId: least.id, mostId: most.id };
}
