import { isEnd } from "../decision/schools";
import type { Knowledge, Limits, Move } from "../knowledge/types";
import { dayIn } from "../quantity/format";
import { type BenchGap, gapsFor } from "../safety/bench-gaps";
import { asSeen } from "../safety/bench-state";
import { openDangers } from "../safety/dangers/danger";
import type { WorkedOn } from "../safety/energy-event";
import { isHoldable } from "../safety/holdable";
import { dangersAgainst, owedBeforePower } from "../safety/live-work";
import type { Said } from "../tools/finding.input";
import type { ToolCard } from "../tools/tool";
import { latestBy } from "./log/lines";
import { isRepairDone, isWhole, stillOff } from "./reassembly/put-back";
import { COVER_NEED, needToTouch, UNDER_COVERS } from "./reassembly/touched";
import { signOffWord } from "./sign-off/sign-off";
import { isNotToBeUsed, wordNow } from "./sign-off/word-now";
import type { Stage } from "./stages";
import { hasDangerSince, type Standing } from "./standing";

/** `gone`: signed off, and nothing falls due: no longer on the bench. */
export type Band = "now" | "waiting" | "due" | "gone";

/** What a machine on the bench waits for, and where that is done. */
export interface NextStep extends Said {
  readonly band: Band;
  readonly stage: Stage;
  /** The part of that screen it is done in, by its anchor. */
  readonly at?: string;
  /** Instant a timer ends, or calendar day a check falls due. */
  readonly until?: string;
}

export interface StepContext {
  readonly deadChecks: Knowledge["deadChecks"];
  readonly moves: readonly Move[];
  readonly tools: readonly Pick<ToolCard, "id" | "title" | "judges" | "next">[];
  readonly limits: Limits;
  readonly now: string;
  readonly zone: string;
  /** Whether this screen still knows where the plug is. */
  readonly isPlugFresh: boolean;
}

/** What is done to a machine on the way: its tests come again before power and at the end, not at once. */
const DONE_HERE: ReadonlySet<WorkedOn> = new Set<WorkedOn>(["repair", "wires", "parts"]);

/** The dead checks owed before anything else is done: never passed, or asked again by what was told or changed. */
export function owedChecks(view: Standing, context: Pick<StepContext, "deadChecks">): string[] {
  const { live, machine } = view;
  const spoilt = live.spoilt.filter(({ on }) => !DONE_HERE.has(on));
  return owedBeforePower({ live: { ...live, spoilt }, machine, deadChecks: context.deadChecks });
}

export function failedChecks(view: Standing): string[] {
  return view.deadChecks.filter(({ verdict }) => verdict === "failed").map(({ checkId }) => checkId);
}

function timerEnd(at: string, secondsLong: number): string {
  return new Date(Date.parse(at) + secondsLong * 1000).toISOString();
}

function waiting(view: Standing, context: StepContext): NextStep | undefined {
  const question = view.questions.at(-1);
  if (question)
    return {
      band: "waiting",
      stage: "decide",
      at: "owner",
      code: "wait/owner",
      params: { question: question.question, means: question.means, since: question.at },
      until: question.byDay ?? question.at,
    };
  const timer = view.timers.at(-1);
  const end = timer && timerEnd(timer.at, timer.seconds);
  if (timer && end && end > context.now)
    return {
      band: "waiting",
      stage: "make-safe",
      code: `wait/${timer.what}`,
      params: {},
      until: end,
      ...(timer.what === "drain" ? { at: "charge" } : {}),
    };
  return undefined;
}

/** A clip comes off before the cover over it goes on, before power, and before the machine leaves, whatever became of it. */
function clipStep(view: Standing): NextStep | undefined {
  const isOn = view.bench.stored.some(({ clip }) => clip === true);
  return isOn && stillOff(view).length === 0 ? step("put-back", "now/clip", {}, "clip") : undefined;
}

/** Where an owner's no left the job, while nothing was decided since. */
function ownerEnd(view: Standing, context: StepContext): NextStep | undefined {
  const { ownerSaid, decision } = view;
  if (ownerSaid?.answer !== "no" || (decision && decision.seq > ownerSaid.seq)) return undefined;
  const { leadsTo, byDay } = ownerSaid;
  const isOver = byDay !== null && byDay <= dayIn(context.now, context.zone);
  if (leadsTo === "" || (leadsTo === "hold" && isOver)) return step("decide", "now/owner-no", {}, "owner");
  if (leadsTo === "cheaper") return step("decide", "now/cheaper");
  if (leadsTo === "hold")
    return {
      ...step("decide", "wait/hold", {}, "owner"),
      band: "waiting",
      ...(byDay ? { until: byDay } : {}),
    };
  const clip = clipStep(view);
  if (clip) return clip;
  if (stillOff(view).length + view.bench.opened.length > 0 && leadsTo === "hand-back")
    return step("put-back", "now/hand-back", { leadsTo }, "off");
  return step("sign-off", "now/hand-back", { leadsTo }, "word");
}

/** Waits for the part that is expected last; one that is overdue is asked after now. */
function awaitPart({ orders }: Standing, context: StepContext): NextStep | undefined {
  const order = orders
    .filter(({ state }) => state === "ordered")
    .sort((one, other) => (one.expectedOn ?? "").localeCompare(other.expectedOn ?? ""))
    .at(-1);
  if (!order) return undefined;
  const { part, expectedOn, at } = order;
  const isLate = expectedOn !== null && expectedOn < dayIn(context.now, context.zone);
  return {
    ...step("match", isLate ? "now/part-late" : "wait/part", { part, since: at }, "orders"),
    band: isLate ? "now" : "waiting",
    ...(expectedOn === null ? {} : { until: expectedOn }),
  };
}

/** The first thing that keeps hands out, blades that turn with the shaft among it, as far as this screen knows. */
function firstGap(view: Standing, { isPlugFresh, now, limits }: StepContext): BenchGap | undefined {
  return gapsFor(asSeen(view.bench, isPlugFresh), "turning-inside", view.machine, now, limits)[0];
}

/** The same for what is still off: a machine is drained as well while it is something from under its covers. */
function refitGap(view: Standing, { isPlugFresh, now, limits }: StepContext): BenchGap | undefined {
  const needs = view.removed.filter(({ refit }) => refit === null).map(({ sort }) => needToTouch(sort));
  const need = needs.includes(UNDER_COVERS) ? UNDER_COVERS : COVER_NEED;
  return gapsFor(asSeen(view.bench, isPlugFresh), need, view.machine, now, limits)[0];
}

/** The part of Make safe in which a gap is settled. */
function partOf(gap: BenchGap): string {
  if (gap === "plug" || gap === "battery") return "plug";
  return isHoldable(gap) ? "hazards" : "charge";
}

function makeSafe({ machine }: Standing, gap: BenchGap): NextStep {
  return step("make-safe", "now/make-safe", { gap, connection: machine.connection }, partOf(gap));
}

/** Whether it is asked first what feeds the machine: nobody has said it, as far as this screen knows. */
function isFeedAsked({ bench }: Standing, gap: BenchGap | undefined): gap is "plug" | "battery" {
  return (gap === "plug" || gap === "battery") && bench.plug !== "plugged-in";
}

const NEVER = "9999-12-31";

/** What to come back to next: the earliest day first, what only waits for its condition last. */
function nextPromise({ followUps }: Standing): Standing["followUps"][number] | undefined {
  const day = ({ onDay }: Standing["followUps"][number]): string => onDay ?? NEVER;
  return followUps
    .filter(({ done }) => done === null)
    .sort((one, other) => day(one).localeCompare(day(other)) || one.seq - other.seq)[0];
}

function due(view: Standing, context: StepContext): NextStep | undefined {
  const followUp = nextPromise(view);
  if (!followUp) return undefined;
  const today = dayIn(context.now, context.zone);
  const isReached = followUp.onDay !== null && followUp.onDay <= today;
  return {
    band: "due",
    stage: view.signedOff ? "sign-off" : "measure",
    code: isReached ? "due/now" : "due/later",
    params: {
      what: followUp.what,
      condition: followUp.condition,
      ...(followUp.belowCelsius === null ? {} : { belowCelsius: followUp.belowCelsius }),
      ...(followUp.afterHours === null ? {} : { afterHours: followUp.afterHours }),
    },
    ...(followUp.onDay === null ? {} : { until: followUp.onDay }),
  };
}

/** The first move about a part that holds charge in this machine, which a tool judges and nobody has read yet. */
function unread(view: Standing, { moves, tools }: Pick<StepContext, "moves" | "tools">): Move | undefined {
  return tools
    .flatMap(({ judges }) => judges.flatMap((judged) => moves.find(({ id }) => id === judged) ?? []))
    .find(
      ({ id, part }) =>
        part !== undefined &&
        view.machine.stores.includes(part.place) &&
        !view.readings.some((reading) => reading.moveId === id),
    );
}

/** The last reading of each move, where it was bad, or told nothing and its tool asks for it again. */
function openReadings(view: Standing, tools: StepContext["tools"]): Standing["readings"] {
  const last = latestBy(view.readings, ({ moveId, toolId }) => moveId ?? toolId);
  const isAskedAgain = (toolId: string): boolean =>
    tools.find(({ id }) => id === toolId)?.next.undecided === "measure";
  return [
    ...last.filter(({ finding }) => finding.verdict === "faulty"),
    ...last.filter(({ finding, toolId }) => finding.verdict === "undecided" && isAskedAgain(toolId)),
  ];
}

/** What a reading that is not settled asks for: where its tool says a job goes on after that verdict. */
function afterReading(
  reading: Standing["readings"][number],
  view: Standing,
  { moves, tools }: Pick<StepContext, "moves" | "tools">,
): NextStep {
  const { finding, moveId, toolId } = reading;
  const tool = tools.find(({ id }) => id === toolId);
  const name = moves.find(({ id }) => id === moveId)?.part?.name ?? tool?.title ?? toolId;
  const stage = tool?.next[finding.verdict] ?? "isolate";
  const chosen = view.parts[0];
  if (stage === "match" && chosen) return step("decide", "now/part-chosen", { label: chosen.label });
  return step(stage, `now/after-${finding.verdict}`, { name, to: stage });
}

function step(stage: Stage, code: string, params: Said["params"] = {}, at?: string): NextStep {
  return { band: "now", stage, code, params, ...(at === undefined ? {} : { at }) };
}

/** What was read, answered, decided and done since it came back: all of it where it never did. */
function sinceBack(view: Standing): Standing {
  const { reopened, decision } = view;
  if (!reopened) return view;
  const isSince = ({ seq }: { readonly seq: number }): boolean => seq > reopened.seq;
  return {
    ...view,
    decision: decision && isSince(decision) ? decision : null,
    interventions: view.interventions.filter(isSince),
    readings: view.readings.filter(isSince),
    answers: view.answers.filter(isSince),
  };
}

/** The look or reading that closes what was mended, where it is neither a dead check nor a run. */
function testAgain({ live }: Standing, { moves }: Pick<StepContext, "moves">): Move | undefined {
  const mended = openDangers(live.dangers).filter(({ remediedBy }) => remediedBy > 0);
  return moves.find(({ id }) => mended.some(({ test }) => test === `move:${id}`));
}

/** What is left to do once the route is decided or something was repaired: fit, put back, test, run, sign off. */
function repairStep(view: Standing, whole: Standing, context: StepContext): NextStep | undefined {
  const { decision, interventions } = view;
  if (!decision && interventions.length === 0) return undefined;
  if (decision && isEnd({ id: decision.route }))
    return clipStep(view) ?? step("sign-off", "now/replace", {}, "word");
  if (decision && !isRepairDone(view)) {
    const awaited = awaitPart(view, context);
    if (awaited) return awaited;
    const gap = firstGap(view, context);
    if (gap !== undefined) return makeSafe(view, gap);
    return step("put-back", "now/fit", { label: decision.label }, "repair");
  }
  const left = stillOff(view).length + view.bench.opened.length;
  const again = testAgain(view, context);
  // A look inside is made while it is open.
  if (again)
    return step(left > 0 ? "put-back" : "sign-off", "now/test-again", { title: again.title }, "open");
  const clip = clipStep(view);
  if (clip) return clip;
  if (left > 0) {
    const loose = refitGap(view, context);
    return loose ? makeSafe(view, loose) : step("put-back", "now/put-back", { left }, "off");
  }
  const { unproven } = signOffWord(whole, context);
  if (unproven.some((code) => code.startsWith("final-")))
    return step("sign-off", "now/final-tests", {}, "tests");
  const [danger] = dangersAgainst(view.live.dangers, "guards-on");
  if (danger) return step("isolate", "now/danger", { kind: danger.kind });
  if (unproven.includes("run-failed")) return step("isolate", "now/run-failed");
  if (unproven.includes("no-run")) return step("sign-off", "now/run", {}, "run");
  return step("sign-off", "now/sign-off", {}, "word");
}

function doable(whole: Standing, context: StepContext): NextStep {
  const view = sinceBack(whole);
  if (!view.complaint) return step("take-in", "now/complaint", {}, "complaint");
  const isToldOf = (view.reopened?.seq ?? 0) < view.complaint.seq;
  if (!isToldOf && view.interventions.length === 0) return step("take-in", "now/came-back", {}, "complaint");
  const end = ownerEnd(view, context);
  if (end) return end;
  const isUnderWay = view.interventions.length > 0 || view.decision !== null;
  const failed = isUnderWay ? undefined : failedChecks(view)[0];
  if (failed !== undefined)
    return step("isolate", "now/failed-check", {
      check: context.deadChecks.find(({ id }) => id === failed)?.label ?? failed,
    });
  const owed = owedChecks(view, context);
  const gap = firstGap(view, context);
  const isBegun = view.readings.length > 0 || view.answers.some(({ isCheck }) => !isCheck);
  // Once the search has begun with the plug out they wait for the power that asks for them.
  if (owed.length > 0 && !isUnderWay && !isBegun)
    return isFeedAsked(view, gap)
      ? makeSafe(view, gap)
      : step("make-safe", "now/dead-checks", { left: owed.length }, "checks");
  if (view.takenIn?.family === "not-known") return step("isolate", "now/family");
  const repair = repairStep(view, whole, context);
  if (repair) return repair;
  const [open] = openReadings(view, context.tools);
  if (open) return afterReading(open, view, context);
  const toRead = unread(view, context);
  if (!toRead && view.readings.length > 0) return step("isolate", "now/measured");
  if (!toRead || isBegun || gap === undefined) return step("isolate", "now/isolate");
  return makeSafe(view, gap);
}

/** The one thing a machine waits for: a check that fell due, the owner, a timer, else what can be done this minute. */
export function nextStep(view: Standing, context: StepContext): NextStep {
  if (hasDangerSince(view)) return { band: "now", stage: "sign-off", code: "now/tell-owner", params: {} };
  const dueStep = due(view, context);
  if (dueStep?.code === "due/now") return dueStep;
  if (view.signedOff)
    return (
      dueStep ?? {
        band: "gone",
        stage: "sign-off",
        code: "gone",
        params: { word: wordNow(view, view.signedOff, context).word },
      }
    );
  // A repair under way is not held up by what is to be looked at later.
  const isUnderWay = view.interventions.length > 0 || view.decision !== null;
  return waiting(view, context) ?? (isUnderWay ? doable(view, context) : (dueStep ?? doable(view, context)));
}

/** `locked`: it cannot be done before something else is. */
export type CollarState = "done" | "attention" | "to-come" | "locked";

function putBackCollar(view: Standing): CollarState {
  if (view.interventions.length === 0 && !view.signedOff) return "to-come";
  return isWhole(view) ? "done" : "attention";
}

function signOffCollar(view: Standing, context: StepContext): CollarState {
  if (view.signedOff) return isNotToBeUsed(view, context) ? "attention" : "done";
  return stillOff(view).length > 0 ? "locked" : "to-come";
}

/** How each collar of the job's shaft is drawn. */
export function collars(view: Standing, context: StepContext): Record<Stage, CollarState> {
  const madeSafe = firstGap(view, context) === undefined && owedChecks(view, context).length === 0;
  return {
    "take-in": view.takenIn && view.complaint ? "done" : "attention",
    "make-safe":
      failedChecks(view).length > 0
        ? "attention"
        : madeSafe || view.signedOff
          ? "done"
          : view.bench.plug === "not-known" && view.deadChecks.length === 0
            ? "to-come"
            : "attention",
    isolate: view.readings.some(({ finding }) => finding.verdict === "faulty") ? "done" : "to-come",
    match: view.parts.length > 0 ? "done" : "to-come",
    decide: view.decision ? "done" : "to-come",
    "put-back": putBackCollar(view),
    "sign-off": signOffCollar(view, context),
    measure: view.readings.some(({ finding }) => finding.verdict === "undecided")
      ? "attention"
      : view.readings.length > 0
        ? "done"
        : "to-come",
  };
}
