import type { Entry } from "@/core/job/log/entry";
import { tellsOfFailure } from "@/core/job/log/failure";
import { struckSeqs } from "@/core/job/log/lines";
import { issue } from "@/core/result";
import type { Guard } from "../../guard";

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

/** A reason that says something. */
const LEAST_WORDS = 3;

export const guard: Guard<"struck"> = ({ seq, why }, view, entries) => {
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
  const isFailure = tellsOfFailure(target) || view.live.failing.some((failed) => failed.seq === seq);
  if (isFailure && why.trim().length < LEAST_WORDS)
    return [
      issue(
        "payload.why",
        "guard/why-struck",
        `Line ${seq} tells of something that failed: say why it is struck out.`,
        why,
      ),
    ];
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
