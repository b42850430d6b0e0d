import { limitOf } from "../knowledge/resolve-limits";
import type { DeadCheck, Limits } from "../knowledge/types";
import type { Reading } from "../quantity/reading";

export type ProtectionClass = "class-1" | "class-2" | "class-3" | "battery" | "not-known";
export type DeadCheckVerdict = "passed" | "failed" | "undecided";

export interface DeadCheckJudgement {
  readonly verdict: DeadCheckVerdict;
  /** The limit it was held against, SI; absent for a look. */
  readonly limit?: number;
  readonly limitSource?: string;
  readonly limitReviewed?: boolean;
}

/** The dead checks a machine owes before its first plug-in. A class II machine owes no earth test. */
export function checksFor(checks: readonly DeadCheck[], protection: ProtectionClass): DeadCheck[] {
  return checks.filter(({ classes, insteadOf }) => insteadOf === undefined && classes.includes(protection));
}

/** The check that may stand for another one at the end, where this machine has one. */
export function alternativeTo(
  check: DeadCheck,
  checks: readonly DeadCheck[],
  protection: ProtectionClass,
): DeadCheck | undefined {
  return checks.find(({ classes, insteadOf }) => insteadOf === check.id && classes.includes(protection));
}

const APPLIES: Readonly<Record<string, (protection: ProtectionClass, hasHeater: boolean) => boolean>> = {
  "insulation-heater": (_, hasHeater) => hasHeater,
  "insulation-class-1": (protection) => protection === "class-1",
  // Where the class is not known the stricter limit decides.
  "insulation-class-2": (protection) => protection === "class-2" || protection === "not-known",
  "leakage-class-1": (protection) => protection === "class-1",
  "leakage-class-2": (protection) => protection === "class-2" || protection === "not-known",
};

function limitFor(check: DeadCheck, protection: ProtectionClass, hasHeater: boolean, limits: Limits) {
  const id = check.limits.find((one) => (APPLIES[one] ?? (() => true))(protection, hasHeater));
  return id === undefined ? undefined : limitOf(limits, id);
}

/**
 * A typed reading of a dead check against its limit row, as taken (no temperature correction).
 * Over-range insulation passes; over-range earth fails; not taken is never good.
 */
export function judgeDeadCheck(
  check: DeadCheck,
  reading: Reading,
  protection: ProtectionClass,
  hasHeater: boolean,
  limits: Limits,
): DeadCheckJudgement {
  const row = limitFor(check, protection, hasHeater, limits);
  if (!row) return { verdict: "undecided" };
  const held = { limit: row.value, limitSource: row.source, limitReviewed: row.reviewed };
  if (reading.kind === "not-taken") return { verdict: "undecided", ...held };
  const isAtLeast = row.relation === "at-least";
  if (reading.kind === "over-range") return { verdict: isAtLeast ? "passed" : "failed", ...held };
  if (reading.kind === "under-range") return { verdict: isAtLeast ? "failed" : "passed", ...held };
  const isGood = isAtLeast ? reading.value >= row.value : reading.value <= row.value;
  return { verdict: isGood ? "passed" : "failed", ...held };
}
