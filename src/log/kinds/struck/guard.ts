import type { Entry } from "@/core/job/log/entry";
import { struckSeqs } from "@/core/job/log/lines";
import { isNeverSlip, needsReason } from "@/core/job/log/strike";
import { isWithinSlip, SLIP_MS, STRIKE_REASONS } from "@/core/job/log/strike-reasons";
import { type Issue, issue } from "@/core/result";
import type { Danger } from "@/core/safety/dangers/danger";
import type { Guard, GuardContext } from "../../guard";
import type { Payloads } from "../../schemas";

/** Whether a later line means nothing without this one. */
function standsOn(entry: Entry, target: Entry): boolean {
  switch (target.kind) {
    case "removed":
      return entry.kind === "refitted" && entry.payload.line === target.seq;
    case "picture":
      return (
        (entry.kind === "pinned" && entry.payload.picture === target.seq) ||
        (entry.kind === "removed" && entry.payload.pin?.picture === target.seq)
      );
    case "follow-up":
      return entry.kind === "followed-up" && entry.payload.line === target.seq;
    case "signed-off":
      return entry.kind === "reopened" && entry.seq > target.seq;
    default:
      return false;
  }
}

/** Later lines that stand on this one: they would hang in the air without it. */
function dependants(entries: readonly Entry[], target: Entry): number[] {
  const struck = struckSeqs(entries);
  const standing = entries.filter(({ seq }) => !struck.has(seq) && seq !== target.seq);
  if (target.kind === "taken-in") {
    const hasAnother = standing.some(({ kind }) => kind === "taken-in");
    return hasAnother ? [] : standing.filter(({ seq }) => seq > target.seq).map(({ seq }) => seq);
  }
  return standing.filter((entry) => standsOn(entry, target)).map(({ seq }) => seq);
}

/** A slip is taken back at one tap for some seconds; a shock, smoke, water, a trip or volts never are. */
function notASlip(target: Entry, now: string, dangers: readonly Danger[]): string | undefined {
  if (isNeverSlip(target.seq, dangers))
    return `A shock, smoke, water, a trip or volts stand in line ${target.seq}: one tap does not take that back. Strike it out in the list, with the reason; what it opened stays open.`;
  if (isWithinSlip(target.at, now)) return undefined;
  return `Line ${target.seq} has stood for more than ${SLIP_MS / 1000} s: strike it out in the list, with the reason.`;
}

/** What is missing of the reason; nothing where it is said, or none is asked. */
function reasonMissing(
  target: Entry,
  { reason }: Payloads["struck"],
  { now }: GuardContext,
  dangers: readonly Danger[],
): Issue[] {
  const message =
    reason === "slip"
      ? needsReason(target, dangers)
        ? notASlip(target, now, dangers)
        : undefined
      : reason === "none" && needsReason(target, dangers)
        ? `Something failed, can hurt or was done in line ${target.seq}: say why it is struck out, one of ${STRIKE_REASONS.join(", ")}.`
        : undefined;
  return message === undefined ? [] : [issue("payload.reason", "guard/why-struck", message, reason)];
}

export const guard: Guard<"struck"> = (payload, view, entries, context) => {
  const { seq } = payload;
  const target = entries.find((entry) => entry.seq === seq);
  if (!target)
    return [
      issue("payload.seq", "guard/no-such-line", `There is no line ${seq} in this job to strike out.`, seq),
    ];
  if (target.kind === "struck" || target.kind === "restored")
    return [
      issue(
        "payload.seq",
        "guard/not-strikable",
        `Line ${seq} is itself a strike or a restoration: restore line ${target.payload.seq} instead.`,
        seq,
      ),
    ];
  if (struckSeqs(entries).has(seq))
    return [issue("payload.seq", "guard/already-struck", `Line ${seq} is struck out already.`, seq)];
  if (target.kind === "taken-in" && !entries.some((entry) => entry.kind === "taken-in" && entry.seq !== seq))
    return [
      issue(
        "payload.seq",
        "guard/stands-under",
        `Line ${seq} took the machine in: correct it in Take in instead of striking it out.`,
        seq,
      ),
    ];
  const missing = reasonMissing(target, payload, context, view.live.dangers);
  if (missing.length > 0) return missing;
  const later = dependants(entries, target);
  if (later.length > 0)
    return [
      issue(
        "payload.seq",
        "guard/stands-under",
        `Line ${seq} cannot be struck out: lines ${later.join(", ")} stand on it.`,
        seq,
      ),
    ];
  return [];
};
