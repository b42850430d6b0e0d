import type { SaidPrices } from "@/core/decision/figures";
import { benchMachineOf, withMarks } from "@/core/job/log/bench-machine";
import type { Entry } from "@/core/job/log/entry";
import { ofKind, placed, struckSeqs } from "@/core/job/log/lines";
import { cluesOf, evidenceOf, type JobAnswer, ratioOf, toldByChecks } from "@/core/job/log/told-answers";
import type { JobContext, JobView, LedgerLine } from "@/core/job/log/view";
import { reassemblyOf } from "@/core/job/reassembly/reassembly";
import { type EnergyLine, foldEnergy } from "@/core/safety/energy";
import type { LineEvent } from "@/core/safety/energy-event";
import type { PlugFacts } from "@/core/safety/plug-watch";
import { energyContext, energyLines } from "./energies";
import { FOLDS, type KindParts } from "./folds";
import { ENTRY_KINDS, type EntryKind } from "./schemas";
import { type FoldFacts, type Line, lineOf, type ViewParts } from "./view-part";

const PLUG_EVENTS: ReadonlySet<string> = new Set([
  "plugged-in",
  "unplugged",
  "isolated",
  "not-known",
  "battery",
]);

/** What says that power came, or may have. */
const POWER_EVENTS: ReadonlySet<string> = new Set<LineEvent["event"]>([
  "plugged-in",
  "powered",
  "may-have-had-power",
]);

/** Lines that say where the plug is: a screen knows it only as long as none is later than its own. */
function plugFactsOf(entries: readonly Entry[], lines: readonly EnergyLine[]): PlugFacts {
  const isAboutPlug = (entry: Entry, at: number): boolean =>
    (entry.kind === "bench-state" && PLUG_EVENTS.has(entry.payload.event)) ||
    (lines[at]?.events.some(({ event }) => event === "may-have-had-power") ?? false);
  const isPower = ({ events }: EnergyLine): boolean => events.some(({ event }) => POWER_EVENTS.has(event));
  return {
    plugSeq: entries.findLast(isAboutPlug)?.seq ?? 0,
    powerSeq: lines.findLast(isPower)?.seq ?? 0,
    lastSeqBy: Object.fromEntries(entries.map(({ by, seq }) => [by, seq])),
  };
}

function answersOf(
  unstruck: readonly Entry[],
  { deadChecks }: Pick<JobContext, "deadChecks">,
): JobView["answers"] {
  const done = ofKind(unstruck, "intervention");
  const epochAt = (seq: number): number => done.filter((one) => one.seq < seq).length;
  const answers = unstruck.flatMap((entry): JobAnswer[] => {
    const base = { seq: entry.seq, epoch: epochAt(entry.seq) };
    if (entry.kind === "answer") {
      const { moveId, outcomeId, circumstance, why } = entry.payload;
      return [{ ...base, moveId, outcomeId, circumstance, ...(why === "" ? {} : { why }) }];
    }
    if (entry.kind === "intervention" && entry.payload.seen)
      return [{ ...base, ...entry.payload.seen, circumstance: "cold" }];
    if (entry.kind !== "reading" || entry.payload.of !== "tool") return [];
    return evidenceOf(entry.payload).map((one) => {
      const ratio = ratioOf(one);
      const { moveId, outcomeId, circumstance } = one;
      return { ...base, moveId, outcomeId, circumstance, ...(ratio ? { ratio } : {}) };
    });
  });
  return [
    ...answers,
    ...toldByChecks(unstruck, answers, epochAt, deadChecks),
    ...cluesOf(unstruck, answers, epochAt),
  ].sort((one, other) => one.seq - other.seq);
}

/** The last word on each price: a part chosen sets the price of the repair it is bought for. */
function saidPrices(unstruck: readonly Entry[], { repairs }: Pick<JobContext, "repairs">): SaidPrices {
  const said = unstruck.flatMap((entry): [string, SaidPrices[string]][] => {
    if (entry.kind === "priced") {
      const { of, minor, low, high } = entry.payload;
      return [[of, { minor, low, high }]];
    }
    if (entry.kind !== "part-chosen") return [];
    const { forPart, priceMinor } = entry.payload;
    return repairs
      .filter((repair) => repair.forPart === forPart)
      .map(({ id }) => [id, { minor: priceMinor, low: null, high: null }]);
  });
  return Object.fromEntries(said);
}

const pricesOf = (said: SaidPrices): JobView["prices"] =>
  Object.fromEntries(Object.entries(said).map(([of, { minor }]) => [of, minor]));

/** What each kind brings by itself: the registry says what. */
function kindParts(unstruck: readonly Entry[], facts: FoldFacts): KindParts {
  const lines = new Map<string, Line<EntryKind>[]>(ENTRY_KINDS.map((kind) => [kind, []]));
  for (const entry of unstruck) if (entry.kind !== "unreadable") lines.get(entry.kind)?.push(lineOf(entry));
  const backSeq = lines.get("reopened")?.at(-1)?.seq ?? 0;
  const parts = ENTRY_KINDS.flatMap((kind) => {
    const view: ViewParts<EntryKind> | string = FOLDS[kind].view;
    const own = lines.get(kind) ?? [];
    return Object.entries(typeof view === "string" ? {} : view).map(([name, part]): [string, unknown] => {
      const read = part.ofThisVisit ? own.filter(({ seq }) => seq > backSeq) : own;
      return [name, read.length === 0 ? part.initial : part.of(read, facts)];
    });
  });
  return Object.fromEntries(parts) as KindParts;
}

/** Entries in order to what the job says now. Pure; the same entries always give the same view. */
export function reduceJob(jobId: number, entries: readonly Entry[], context: JobContext): JobView {
  const struck = struckSeqs(entries);
  const unstruck = entries.filter(({ seq }) => !struck.has(seq));
  const parts = kindParts(unstruck, context);
  const { takenIn, stations } = parts;
  const said = saidPrices(unstruck, context);
  const machine = withMarks(benchMachineOf(takenIn, context, stations), parts, context.limits);
  const lines = energyLines(entries, energyContext(context));
  return {
    jobId,
    seq: entries.at(-1)?.seq ?? 0,
    ...parts,
    ...reassemblyOf(unstruck),
    ...foldEnergy(lines, machine, context.limits),
    machine,
    plugFacts: plugFactsOf(entries, lines),
    answers: answersOf(unstruck, context),
    said,
    prices: pricesOf(said),
    unreadable: unstruck.filter(({ kind }) => kind === "unreadable").map(placed),
    ledger: entries.map(
      (entry) =>
        ({
          ...placed(entry),
          stage: entry.stage,
          isStruck: struck.has(entry.seq),
          kind: entry.kind,
          payload: entry.payload,
        }) as LedgerLine,
    ),
  };
}
