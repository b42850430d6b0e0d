import type { Entry, Payloads } from "@/core/job/log/entry";
import { bareRunMinutes } from "./bare-danger-reader";
import { keptBack } from "./bare-dangers";
import { allOf, type Kind, machineOf, standing, takingAway } from "./bare-log";
import { CHECK_OF, coversOpen, isOff, lastCheck, owedOf, type Proof, spoiltBy } from "./bare-power";

const CHANGES: readonly Kind[] = ["intervention", "opened", "closed", "removed", "refitted", "reopened"];

const STALLS: readonly string[] = [
  "silent",
  "hums-still",
  "slow",
  "output-still",
  "trips-at-once",
  "trips-after",
  "trips-residual",
];

/** It did not run as it should, did something that hurts, or what it came for was told. */
function isStall({ kind, payload }: Entry): boolean {
  if (kind === "complaint") return true;
  if (kind === "bench-state") return payload.event === "incident";
  return kind === "answer" && payload.moveId === "switch-on" && STALLS.includes(payload.outcomeId);
}

/** Whether runs satisfy one condition of the complaint, with its minutes. */
function isTried(
  condition: Payloads["complaint"],
  runs: readonly Payloads["acceptance-run"][],
  minutes: number,
): boolean {
  const least = { cold: 0.5, idle: 0.5, loaded: 2, hot: 15 } as const;
  const long = runs.filter((run) => run.minutes >= least[run.circumstance]);
  switch (condition.circumstance) {
    case "always":
      return long.length > 0;
    case "after-minutes":
      return condition.afterMinutes !== null && runs.some((run) => run.minutes >= minutes);
    case "cold":
      return long.some(({ circumstance }) => circumstance === "cold");
    case "hot":
    case "loaded":
      return long.some((run) => run.circumstance === condition.circumstance && run.minutes >= minutes);
    default:
      return false;
  }
}

/** Why SAFETY would not let "repaired" be printed, looked for in the bare log. */
export function againstRepaired(entries: readonly Entry[]): string[] {
  const lines = standing(entries);
  const takenIn = machineOf(lines);
  const since = lines.findLast(({ kind }) => CHANGES.includes(kind))?.seq ?? 0;
  const isFine = (proof: Proof, id: string): boolean => {
    const spoilt =
      takingAway(entries).findLast((entry) => spoiltBy(entry, entries).includes(proof))?.seq ?? 0;
    const last = lastCheck(entries, id);
    const isLate = id === "leakage" && last?.payload.taken === "afterwards";
    return (
      last !== undefined && !isLate && last.seq > Math.max(since, spoilt) && last.payload.verdict === "passed"
    );
  };
  const against: string[] = [];
  for (const proof of owedOf(takenIn))
    if (!isFine(proof, CHECK_OF[proof]) && !(proof === "insulation" && isFine(proof, "leakage")))
      against.push(proof);
  if (takenIn.protectionClass === "not-known") against.push("class");
  against.push(...keptBack(entries, "repaired"));
  if (coversOpen(entries).length > 0) against.push("cover");
  if (allOf(lines, "removed").some((off) => isOff(off, lines))) against.push("something off");
  const told = allOf(lines, "complaint").map(({ payload }) => payload);
  const minutes = Math.max(0, ...told.map(({ afterMinutes }) => afterMinutes ?? 0));
  const runs = allOf(lines, "acceptance-run").filter(({ seq }) => seq > since);
  if (runs.length === 0 || runs.some(({ payload }) => payload.result !== "gone"))
    against.push("a failed run");
  const stalled = takingAway(entries).findLast(isStall)?.seq ?? 0;
  if (stalled > (runs.at(-1)?.seq ?? 0)) against.push("taken back");
  const lasted = bareRunMinutes(entries);
  const granted = runs.flatMap(({ seq, payload }) =>
    payload.taken === "now" ? [{ ...payload, minutes: lasted.get(seq) ?? 0 }] : [],
  );
  if (told.length === 0 || !told.every((one) => isTried(one, granted, minutes))) against.push("condition");
  const done = allOf(lines, "intervention");
  if (done.length === 0) against.push("nothing done");
  return against;
}
