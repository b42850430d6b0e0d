import { limitOf } from "../knowledge/resolve-limits";
import type { DeadCheck, Limits } from "../knowledge/types";
import type { Reading } from "../quantity/reading";

export type ProtectionClass = "class-1" | "class-2" | "class-3" | "battery" | "not-known";
export type DeadCheckVerdict = "passed" | "failed" | "undecided";

export interface DeadCheckJudgement {
  readonly verdict: DeadCheckVerdict;
  /** The limit it was held against, SI; absent for a look. */
  readonly limit?: number;
  readonly limitId?: string;
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

/** Which limit decides for this machine: the first that says it applies to its class and heater, or to all. */
function limitFor(check: DeadCheck, protection: ProtectionClass, hasHeater: boolean, limits: Limits) {
  const facts = new Set<string>([
    // The milder limit of a heater belongs to class I alone: anywhere else the stricter one decides.
    ...(hasHeater && protection === "class-1" ? ["heater"] : []),
    protection === "not-known" ? "class-not-known" : protection,
  ]);
  return check.limits
    .map((id) => limitOf(limits, id))
    .find(({ appliesWhen }) => appliesWhen?.some((one) => facts.has(one)) ?? true);
}

/** A reading that is only known to be more than something, or less: OL is more than any limit. */
function judgeBound(
  { kind, limit }: Extract<Reading, { kind: "over-range" | "under-range" }>,
  held: number,
  isAtLeast: boolean,
): DeadCheckJudgement["verdict"] {
  const isMore = kind === "over-range";
  const isClear = limit === undefined || (isMore ? limit >= held : limit <= held);
  if (!isClear) return "undecided";
  return isMore === isAtLeast ? "passed" : "failed";
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
  const held = { limit: row.value, limitId: row.id, limitSource: row.source, limitReviewed: row.reviewed };
  if (reading.kind === "not-taken") return { verdict: "undecided", ...held };
  const isAtLeast = row.relation === "at-least";
  if (reading.kind !== "value") return { verdict: judgeBound(reading, row.value, isAtLeast), ...held };
  const isGood = isAtLeast ? reading.value >= row.value : reading.value <= row.value;
  return { verdict: isGood ? "passed" : "failed", ...held };
}
