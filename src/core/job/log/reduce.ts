import { energyContext, energyLines } from "@/log/energies";
import type { SaidPrices } from "../../decision/figures";
import { limitOf } from "../../knowledge/resolve-limits";
import type { Knowledge, Limits, StoreId } from "../../knowledge/types";
import { highestVolts } from "../../markings/high-voltage";
import type { BenchMachine, BenchState, PlugFacts } from "../../safety/bench-state";
import { type EnergyLine, foldEnergy } from "../../safety/energy";
import { type HazardFacts, HOLDABLE, hazardIds } from "../../safety/hazards";
import type { LiveState } from "../../safety/live-state";
import type { Evidence } from "../../tools/finding.input";
import { kindByName } from "../door/machine-kind";
import { type Reassembly, reassemblyOf } from "../reassembly/reassembly";
import type { Stage } from "../stages";
import type {
  CapacitorPlate,
  Complaint,
  DeadCheckReading,
  Entry,
  EntryKind,
  InterventionDone,
  MotorPlate,
  OrderLinked,
  OwnerAnswer,
  PartChosen,
  Payloads,
  TakenIn,
  TimerStarted,
  ToolReading,
  Unreadable,
} from "./entry";
import { lastOf, latestBy, ofKind, type Placed, placed, struckSeqs } from "./lines";
import { cluesOf, evidenceOf, type JobAnswer, ratioOf, toldByChecks } from "./told-answers";

interface LineFacts extends Placed {
  readonly stage: Stage;
  readonly isStruck: boolean;
}

/** One line of the job's log as the ledger shows it. */
export type LedgerLine =
  | { [K in EntryKind]: LineFacts & { readonly kind: K; readonly payload: Payloads[K] } }[EntryKind]
  | (LineFacts & Unreadable);

/** All that the log says about a job, worked out from its entries. */
export interface JobView extends Reassembly {
  readonly jobId: number;
  /** Sequence number of the last entry: the next one is posted with it as `expectedSeq`. */
  readonly seq: number;
  readonly takenIn: (TakenIn & Placed) | null;
  readonly plate: (MotorPlate & Placed) | null;
  readonly capacitors: readonly (CapacitorPlate & Placed)[];
  readonly complaint: (Complaint & Placed) | null;
  readonly machine: BenchMachine;
  readonly bench: BenchState;
  /** What is proved of it, as far as live work is earned by it. */
  readonly live: LiveState;
  readonly plugFacts: PlugFacts;
  /** The last answer of each dead check. */
  readonly deadChecks: readonly (DeadCheckReading & Placed)[];
  readonly readings: readonly (ToolReading & Placed)[];
  readonly evidence: readonly (Evidence & { readonly seq: number })[];
  /** What isolation works on: answers to moves and what readings told, each in its epoch. */
  readonly answers: readonly JobAnswer[];
  readonly interventions: readonly (InterventionDone &
    Placed & {
      readonly epoch: number;
      /** Whether it mended nothing but what blew because of something else. */
      readonly isConsequence: boolean;
    })[];
  /** Line of the last work that may have touched a brake of blades; 0 when there was none. */
  readonly brakeSeq: number;
  /** Every way the complaint was told, first and since. */
  readonly told: readonly (Complaint & Placed)[];
  /** The last part chosen for each place. */
  readonly parts: readonly (PartChosen & Placed)[];
  /** Stations that the machine was said to have; null while its kind decides. */
  readonly stations: readonly string[] | null;
  /** Prices that hold for this job, minor units, by repair; `machine` is another machine. */
  readonly prices: Readonly<Record<string, number>>;
  /** The same with the ends within which they lie, where those were said. */
  readonly said: SaidPrices;
  readonly questions: readonly (OwnerAnswer & Placed)[];
  /** What the owner answered last on this visit; null while nothing was answered. */
  readonly ownerSaid: (OwnerAnswer & Placed) | null;
  /** Parts that had to be bought, each as it stands. */
  readonly orders: readonly (OrderLinked & Placed)[];
  /** Seconds at the bench on this visit, counted and corrected. */
  readonly secondsSpent: number;
  readonly timers: readonly (TimerStarted & Placed)[];
  /** Lines that stand and cannot be read any more. */
  readonly unreadable: readonly Placed[];
  readonly ledger: readonly LedgerLine[];
}

/** What the reducer needs to know beside the entries. */
export interface JobContext {
  readonly families: Knowledge["families"];
  readonly archetypes: Knowledge["archetypes"];
  readonly hazards: Knowledge["hazards"];
  readonly repairs: Knowledge["repairs"];
  readonly moves: Knowledge["moves"];
  readonly faults: Knowledge["faults"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly signs: Knowledge["signs"];
  readonly stations: Knowledge["stations"];
  readonly limits: Limits;
}

const PLUG_EVENTS: ReadonlySet<string> = new Set([
  "plugged-in",
  "unplugged",
  "isolated",
  "not-known",
  "battery",
]);

/** Families with a suppressor across the mains more often than not. */
const SUPPRESSED: readonly string[] = ["universal", "permanent-magnet-dc"];

/** What stores charge: by the family, and in every family on its board and in its suppressor, until something excludes it. */
function storesOf({ family, stations, connection, stores, protectionClass }: HazardFacts): {
  readonly stores: readonly StoreId[];
  readonly excusable: readonly StoreId[];
} {
  const isOnMains = connection !== "battery" && protectionClass !== "class-3";
  const board: readonly StoreId[] = stations.includes("board") && !stores.includes("bus") ? ["bus"] : [];
  const suppressor: readonly StoreId[] = isOnMains && SUPPRESSED.includes(family) ? ["suppressor"] : [];
  return { stores: [...stores, ...board, ...suppressor], excusable: [...board, ...suppressor] };
}

export function benchMachineOf(
  takenIn: TakenIn | null,
  context: Pick<JobContext, "families" | "archetypes" | "hazards">,
  stations: readonly string[] | null = null,
): BenchMachine {
  const facts = hazardFacts(takenIn, context, stations);
  const family = context.families.find(({ id }) => id === facts.family);
  const ids = new Set(hazardIds(facts, context.hazards));
  const standing = context.hazards.filter(({ id }) => ids.has(id));
  return {
    family: facts.family,
    protection: facts.protectionClass,
    connection: facts.connection,
    ...storesOf(facts),
    // Nobody said what feeds it: every source is possible, a battery too.
    hasBattery: ids.has("battery") || facts.connection === "not-known",
    holds: HOLDABLE.filter((id) => ids.has(id)),
    blocks: [...new Set(standing.flatMap(({ blocks }) => blocks ?? []))],
    hasSecondFeed: ids.has("second-feed"),
    isOutOfScope: family?.scope !== undefined,
  };
}

/** A machine whose plate or part speaks of high voltage is not opened here, whatever was said at the door. */
function withMarks(
  machine: BenchMachine,
  { plate, capacitors }: Pick<JobView, "plate" | "capacitors">,
  limits: Limits,
): BenchMachine {
  const texts = [plate?.volts ?? "", plate?.text ?? "", ...capacitors.map(({ mark }) => mark)];
  const highest = Math.max(0, ...texts.map((text) => highestVolts(text) ?? 0));
  if (highest <= limitOf(limits, "capacitor-marked-volts-refer").value) return machine;
  return { ...machine, blocks: [...new Set([...machine.blocks, "inside", "power"] as const)] };
}

/** What its hazards follow from. */
export function hazardFacts(
  takenIn: TakenIn | null,
  { families, archetypes }: Pick<JobContext, "families" | "archetypes">,
  stations: readonly string[] | null = null,
): HazardFacts {
  const kind = kindByName(takenIn?.machine ?? "", archetypes);
  const family = families.find(({ id }) => id === takenIn?.family);
  const usual = [...(family?.stations ?? []), ...(kind?.adds ?? [])];
  return {
    family: takenIn?.family ?? "not-known",
    stations: stations ?? usual.filter((id) => !kind?.lacks.includes(id)),
    protectionClass: takenIn?.protectionClass ?? "not-known",
    connection: takenIn?.connection ?? "not-known",
    heater: takenIn?.heater ?? "not-known",
    stores: family?.stores ?? ["any"],
    said: [...(takenIn?.hazards ?? []), ...(kind?.hazards ?? [])],
  };
}

/** Lines that say where the plug is: a screen knows it only as long as none is later than its own. */
function plugFactsOf(entries: readonly Entry[], lines: readonly EnergyLine[]): PlugFacts {
  const isAboutPlug = (entry: Entry, at: number): boolean =>
    (entry.kind === "bench-state" && PLUG_EVENTS.has(entry.payload.event)) ||
    (lines[at]?.events.some(({ event }) => event === "may-have-had-power") ?? false);
  return {
    plugSeq: entries.findLast(isAboutPlug)?.seq ?? 0,
    lastSeqBy: Object.fromEntries(entries.map(({ by, seq }) => [by, seq])),
  };
}

function readingsOf(unstruck: readonly Entry[]): Pick<JobView, "readings" | "deadChecks" | "evidence"> {
  const all = ofKind(unstruck, "reading").map((entry) => ({ ...entry.payload, ...placed(entry) }));
  const readings = all.filter((one): one is ToolReading & Placed => one.of === "tool");
  const checks = all.filter((one): one is DeadCheckReading & Placed => one.of === "dead-check");
  return {
    readings,
    deadChecks: latestBy(checks, ({ checkId }) => checkId),
    evidence: readings.flatMap(({ seq, finding }) => finding.evidence.map((one) => ({ ...one, seq }))),
  };
}

function answersOf(
  unstruck: readonly Entry[],
  { faults, deadChecks }: Pick<JobContext, "faults" | "deadChecks">,
): Pick<JobView, "answers" | "interventions"> {
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
  return {
    answers: [
      ...answers,
      ...toldByChecks(unstruck, answers, epochAt, deadChecks),
      ...cluesOf(unstruck, answers, epochAt),
    ].sort((one, other) => one.seq - other.seq),
    interventions: done.map((entry, index) => ({
      ...entry.payload,
      ...placed(entry),
      epoch: index + 1,
      isConsequence:
        entry.payload.faultIds.length > 0 &&
        entry.payload.faultIds.every((id) => faults.find((fault) => fault.id === id)?.isConsequence === true),
    })),
  };
}

function platesOf(unstruck: readonly Entry[]): Pick<JobView, "plate" | "capacitors"> {
  const all = ofKind(unstruck, "nameplate").map((entry) => ({ ...entry.payload, ...placed(entry) }));
  return {
    plate: all.filter((one): one is MotorPlate & Placed => one.plate === "motor").at(-1) ?? null,
    capacitors: latestBy(
      all.filter((one): one is CapacitorPlate & Placed => one.plate === "capacitor"),
      ({ id }) => id,
    ),
  };
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

/** What runs on after the switch is off, and may have a brake. */
const RUNS_ON: readonly string[] = ["coasting", "blades"];

/** The last work that may have touched a brake, on a machine whose blades run on; one repair may cure it among others. */
function brakeSeqOf(
  unstruck: readonly Entry[],
  takenIn: TakenIn | null,
  context: JobContext,
  stations: readonly string[] | null,
): number {
  const hazards = hazardIds(hazardFacts(takenIn, context, stations), context.hazards);
  if (!hazards.some((id) => RUNS_ON.includes(id))) return 0;
  const isBrake = (faultId: string): boolean =>
    context.faults.find(({ id }) => id === faultId)?.isBrake === true;
  return ofKind(unstruck, "intervention").findLast(({ payload }) => payload.faultIds.some(isBrake))?.seq ?? 0;
}

/** Entries of this visit: all of them, or those since it came back. */
function sinceBack(unstruck: readonly Entry[]): readonly Entry[] {
  const back = lastOf(unstruck, "reopened")?.seq ?? 0;
  return unstruck.filter(({ seq }) => seq > back);
}

function ownerSaidIn(unstruck: readonly Entry[]): JobView["ownerSaid"] {
  const last = ofKind(sinceBack(unstruck), "owner-answer").findLast(
    ({ payload }) => payload.answer !== "asked",
  );
  return last ? { ...last.payload, ...placed(last) } : null;
}

/** Entries in order to what the job says now. Pure; the same entries always give the same view. */
export function reduceJob(jobId: number, entries: readonly Entry[], context: JobContext): JobView {
  const struck = struckSeqs(entries);
  const unstruck = entries.filter(({ seq }) => !struck.has(seq));
  const takenIn = lastOf(unstruck, "taken-in");
  const complaint = lastOf(unstruck, "complaint");
  const stations = lastOf(unstruck, "built")?.payload.stations ?? null;
  const plates = platesOf(unstruck);
  const said = saidPrices(unstruck, context);
  const machine = withMarks(
    benchMachineOf(takenIn?.payload ?? null, context, stations),
    plates,
    context.limits,
  );
  const lines = energyLines(entries, energyContext(context));
  return {
    jobId,
    seq: entries.at(-1)?.seq ?? 0,
    takenIn: takenIn ? { ...takenIn.payload, ...placed(takenIn) } : null,
    complaint: complaint ? { ...complaint.payload, ...placed(complaint) } : null,
    brakeSeq: brakeSeqOf(unstruck, takenIn?.payload ?? null, context, stations),
    told: ofKind(unstruck, "complaint").map((entry) => ({ ...entry.payload, ...placed(entry) })),
    ...plates,
    machine,
    ...foldEnergy(lines, machine, context.limits),
    plugFacts: plugFactsOf(entries, lines),
    ...readingsOf(unstruck),
    ...answersOf(unstruck, context),
    parts: latestBy(
      ofKind(unstruck, "part-chosen").map((entry) => ({ ...entry.payload, ...placed(entry) })),
      ({ forPart }) => forPart,
    ),
    stations,
    said,
    prices: pricesOf(said),
    ...reassemblyOf(unstruck),
    questions: latestBy(
      ofKind(unstruck, "owner-answer").map((entry) => ({ ...entry.payload, ...placed(entry) })),
      ({ question }) => question,
    ).filter(({ answer }) => answer === "asked"),
    ownerSaid: ownerSaidIn(unstruck),
    orders: latestBy(
      ofKind(unstruck, "order-linked").map((entry) => ({ ...entry.payload, ...placed(entry) })),
      ({ part }) => part,
    ),
    secondsSpent: ofKind(sinceBack(unstruck), "time-spent").reduce(
      (sum, { payload }) => sum + payload.seconds,
      0,
    ),
    timers: ofKind(unstruck, "timer-started").map((entry) => ({ ...entry.payload, ...placed(entry) })),
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
