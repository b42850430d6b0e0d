import type { NextStep } from "@/core/job/next-step";
import { formatDay, formatInstant } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";
import { whenWords } from "./put-back";
import { SIGN_OFF_WORDS } from "./runs";

type Words = (step: NextStep, zone: string) => string;
const param = (step: NextStep, key: string): string => String(step.params[key] ?? "");

const STEPS: ReadonlyMap<string, Words> = new Map(
  Object.entries<Words>({
    "now/complaint": () => "Write down what it does",
    "now/failed-check": (step) => `No power: ${param(step, "check").split(",")[0]?.toLowerCase()} failed`,
    "now/dead-checks": (step) => `Dead checks before first power: ${param(step, "left")} left`,
    "now/family": () => "Find out what kind of motor it is",
    "now/after-faulty": (step) =>
      param(step, "to") === "match"
        ? `${param(step, "name")} is bad: ask first what killed it`
        : `${param(step, "name")}: bad, find out why`,
    "now/after-undecided": (step) => `${param(step, "name")}: the reading told nothing yet, read it again`,
    "now/part-chosen": (step) => `Decide: ${param(step, "label")} is chosen`,
    "now/fit": (step) => `Do the repair: ${inSentence(param(step, "label"))}`,
    "now/put-back": (step) => `Put back: ${param(step, "left")} left, covers before power`,
    "now/final-tests": () => "Final tests of its class",
    "now/run": () => "Run it as the complaint comes",
    "now/run-failed": () => "The complaint is still there: look further",
    "now/sign-off": () => "Sign off",
    "now/replace": () => "Another machine: tell the owner and sign off",
    gone: (step) => SIGN_OFF_WORDS[param(step, "word") as keyof typeof SIGN_OFF_WORDS] ?? "",
    "now/isolate": () => "Find the fault: the next move waits",
    "now/measured": () => "What was read is good: look further",
    "now/make-safe": () => "Make safe: plug and charge",
    "now/measure": (step) => param(step, "title"),
    "wait/owner": (step, zone) =>
      `Owner, asked ${step.until ? formatInstant(step.until, zone) : ""}: ${param(step, "question")}`,
    "wait/cool-down": (step, zone) =>
      `Cooling down until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "wait/drain": (step, zone) => `Draining until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "wait/warm-run": (step, zone) => `Warm run until ${step.until ? formatInstant(step.until, zone) : ""}`,
    "due/now": (step) => withCondition(step),
    "due/later": (step) => withCondition(step),
  }),
);

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
