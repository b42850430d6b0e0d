import type { NextStep } from "@/core/job/next-step";
import { formatDay, formatInstant } from "@/core/quantity/format";
import type { BenchGap } from "@/core/safety/bench-gaps";
import type { DangerKind } from "@/core/safety/dangers/danger";
import { BENCH_GAP_WORDS } from "@/words/gaps";
import { DANGER_WORDS } from "./dangers";
import { inSentence } from "./in-sentence";
import { OWNER_END_WORDS } from "./owner";
import { whenWords } from "./put-back";
import { SIGN_OFF_WORDS } from "./runs";

type Words = (step: NextStep, zone: string) => string;
const param = (step: NextStep, key: string): string => String(step.params[key] ?? "");

const STEPS: ReadonlyMap<string, Words> = new Map(
  Object.entries<Words>({
    "now/complaint": () => "Write down what it does",
    "now/came-back": () => "It came back: what does it do now?",
    "now/failed-check": (step) => `No power: ${param(step, "check").split(",")[0]?.toLowerCase()} failed`,
    "now/danger": (step) => `No power: ${inSentence(DANGER_WORDS[param(step, "kind") as DangerKind].what)}`,
    "now/test-again": (step) => `Mended: ${inSentence(param(step, "title"))} again`,
    "now/dead-checks": (step) => `Dead checks before first power: ${param(step, "left")} left`,
    "now/family": () => "Find out what kind of motor it is",
    "now/after-faulty": (step) =>
      param(step, "to") === "match"
        ? `${param(step, "name")} is bad: ask first what killed it`
        : `${param(step, "name")}: bad, find out why`,
    "now/after-undecided": (step) => `${param(step, "name")}: the reading told nothing yet, read it again`,
    "now/part-chosen": (step) => `Decide: ${param(step, "label")} is chosen`,
    "now/move": () => "The next move",
    "now/before-order": () => "Before the part is ordered",
    "now/decide": () => "No move left is worth its price",
    "now/fit": (step) => `Do the repair: ${inSentence(param(step, "label"))}`,
    "now/put-back": (step) => `Put back: ${param(step, "left")} left, covers before power`,
    "now/clip": () => "Before the cover goes on: the clip comes off the capacitor",
    "now/final-tests": () => "Final tests of its class",
    "now/run": () => "Run it as the complaint comes",
    "now/run-failed": () => "The complaint is still there: look further",
    "now/sign-off": () => "All is proven that can be: the word and the bill",
    "now/tell-owner": () => "Tell the owner: since it was signed off, a danger was found",
    "now/replace": () => "Another machine: tell the owner and sign off",
    gone: (step) => SIGN_OFF_WORDS[param(step, "word") as keyof typeof SIGN_OFF_WORDS] ?? "",
    "now/isolate": () => "Find the fault: the next move waits",
    "now/measured": () => "What was read is good: look further",
    "now/make-safe": (step) => `Make safe: ${safeWords(step)}`,
    "wait/owner": (step, zone) =>
      `Owner, asked ${formatInstant(param(step, "since"), zone)}: ${param(step, "question")}`,
    "now/owner-no": () => "The owner said no",
    "now/ask-owner": () => "It comes to more than the owner said",
    "now/cheaper": () => "The owner wants a cheaper way",
    "now/hand-back": (step) => `The owner said no: ${inSentence(endWords(step))}`,
    "wait/hold": (step) =>
      step.until ? `On hold until ${formatDay(step.until)}` : "On hold by the owner's word",
    "wait/part": (step, zone) =>
      `${param(step, "part")}, ordered ${formatInstant(param(step, "since"), zone)}${step.until ? `, expected ${formatDay(step.until)}` : ""}`,
    "now/part-late": (step) =>
      `Overdue since ${step.until ? formatDay(step.until) : ""}: ${inSentence(param(step, "part"))}`,
    "wait/cool-down": (step, zone) =>
      `Cooling down until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "wait/drain": (step, zone) => `Draining until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "wait/warm-run": (step, zone) => `Warm run until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "due/now": (step) => withCondition(step),
    "due/later": (step) => withCondition(step),
  }),
);

function endWords(step: NextStep): string {
  return OWNER_END_WORDS[param(step, "leadsTo") as keyof typeof OWNER_END_WORDS] ?? "";
}

const gapOf = (step: NextStep): BenchGap => param(step, "gap") as BenchGap;

/** What is wired in has no plug to speak of. */
function isWiredIn(step: NextStep): boolean {
  return gapOf(step) === "plug" && param(step, "connection") === "fixed";
}

function safeWords(step: NextStep): string {
  return isWiredIn(step)
    ? "isolate it, and read it dead"
    : (BENCH_GAP_WORDS[gapOf(step)] ?? "plug and charge");
}

const SAFE_ACTIONS: Readonly<Record<BenchGap, string>> = {
  stop: "Pass it on",
  plug: "Say where the plug is",
  battery: "Take the battery out",
  coasting: "See that it stands still",
  kind: "Say what can hurt in it",
  springs: "Hold the springs",
  "lifted-load": "Prop the load",
  pressure: "Let the pressure off",
  heat: "Let it cool",
  belt: "Hold the belt",
  blades: "Block the blades",
  charge: "Read the volts",
};

/** What doing the step is called, as a button says it. */
const ACTIONS: ReadonlyMap<string, (step: NextStep) => string> = new Map(
  Object.entries<(step: NextStep) => string>({
    "now/complaint": () => "Write down what it does",
    "now/came-back": () => "Write down what it does now",
    "now/failed-check": () => "Find out why",
    "now/danger": () => "Find out why",
    "now/test-again": () => "Take the test again",
    "now/dead-checks": () => "Take the dead checks",
    "now/family": () => "Find out what motor it is",
    "now/after-faulty": (step) => (param(step, "to") === "match" ? "Find the part" : "Find out why"),
    "now/after-undecided": () => "Read it again",
    "now/part-chosen": () => "Decide what to do",
    "now/move": (step) => param(step, "title"),
    "now/before-order": (step) => param(step, "title"),
    "now/decide": () => "Decide what to do",
    "now/fit": () => "Do the repair",
    "now/put-back": () => "Put it together",
    "now/clip": () => "Take the clip off",
    "now/final-tests": () => "Take the final tests",
    "now/run": () => "Run it",
    "now/run-failed": () => "Look further",
    "now/sign-off": () => "Sign off",
    "now/tell-owner": () => "See what it may be called now",
    "now/replace": () => "Sign off",
    gone: () => "The owner's sheet",
    "now/isolate": () => "Find the fault",
    "now/measured": () => "Look further",
    "now/make-safe": (step) =>
      isWiredIn(step) ? "Isolate it" : (SAFE_ACTIONS[gapOf(step)] ?? "Make it safe"),
    "wait/owner": () => "Write down the answer",
    "now/owner-no": () => "Say what then",
    "now/ask-owner": () => "Ring the owner",
    "now/cheaper": () => "Choose a cheaper way",
    "now/hand-back": (step) =>
      step.stage === "put-back"
        ? "Put it together"
        : param(step, "leadsTo") === "hand-back"
          ? "Hand it back"
          : "Close the job",
    "wait/hold": () => "Take it up again",
    "wait/part": () => "It has arrived",
    "now/part-late": () => "Ask after it",
    "wait/cool-down": () => "Back to the job",
    "wait/drain": () => "Read the volts",
    "wait/warm-run": () => "Back to the job",
    "due/now": () => "Look at it again",
    "due/later": () => "Look at it again",
  }),
);

export function stepAction(step: NextStep): string {
  return ACTIONS.get(step.code)?.(step) ?? "Go on";
}

/** The page on which the step is done, with the part of it. */
export function stepHref(step: NextStep, jobId: number): string {
  if (step.code === "gone") return `/jobs/${jobId}/sheet`;
  const anchor = step.at === undefined ? "" : `#${encodeURIComponent(step.at)}`;
  return `/jobs/${jobId}/${step.stage}${anchor}`;
}

function withCondition(step: NextStep): string {
  const number = (key: string): number | null => {
    const value = step.params[key];
    return typeof value === "number" ? value : null;
  };
  const condition = whenWords({
    onDay: null,
    belowCelsius: number("belowCelsius"),
    afterHours: number("afterHours"),
    condition: param(step, "condition"),
  });
  return condition === "" ? param(step, "what") : `${param(step, "what")} (${condition})`;
}

export function stepWords(step: NextStep, zone: string): string {
  return STEPS.get(step.code)?.(step, zone) ?? step.code;
}

/** The day or hour at the right end of a Bench line. */
export function untilWords(step: NextStep, zone: string): string {
  if (!step.until) return "";
  return /^\d{4}-\d\d-\d\d$/.test(step.until) ? formatDay(step.until) : formatInstant(step.until, zone);
}
