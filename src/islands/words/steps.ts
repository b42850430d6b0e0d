import type { NextStep } from "@/core/job/next-step";
import { formatDay, formatInstant } from "@/core/quantity/format";

type Words = (step: NextStep, zone: string) => string;
const param = (step: NextStep, key: string): string => String(step.params[key] ?? "");

const STEPS: Readonly<Record<string, Words>> = {
  "now/complaint": () => "Write down what it does",
  "now/failed-check": (step) => `No power: ${param(step, "check").split(",")[0]?.toLowerCase()} failed`,
  "now/dead-checks": (step) => `Dead checks before first power: ${param(step, "left")} left`,
  "now/family": () => "Find out what kind of motor it is",
  "now/part-faulty": (step) =>
    param(step, "moveId") === "start-capacitance"
      ? "Start capacitor is bad: a new one is needed"
      : "Run capacitor is bad: a new one is needed",
  "now/part-chosen": (step) => `Fit it: ${param(step, "label")}`,
  "now/measured": () => "Capacitor is good: look further",
  "now/nothing-to-measure": () => "No capacitor in this kind of motor: look further",
  "now/make-safe": () => "Make safe: plug and charge",
  "now/measure-capacitor": (step) => `Measure the ${param(step, "id")} capacitor`,
  "wait/owner": (step, zone) =>
    `Owner, asked ${step.until ? formatInstant(step.until, zone) : ""}: ${param(step, "question")}`,
  "wait/cool-down": (step, zone) => `Cooling down until ${step.until ? formatInstant(step.until, zone) : ""}`,
  "wait/drain": (step, zone) => `Draining until ${step.until ? formatInstant(step.until, zone) : ""}`,
  "wait/warm-run": (step, zone) => `Warm run until ${step.until ? formatInstant(step.until, zone) : ""}`,
  "due/now": (step) => withCondition(step),
  "due/later": (step) => withCondition(step),
};

function withCondition(step: NextStep): string {
  const condition = param(step, "condition");
  return condition === "" ? param(step, "what") : `${param(step, "what")} (${condition})`;
}

export function stepWords(step: NextStep, zone: string): string {
  return STEPS[step.code]?.(step, zone) ?? step.code;
}

/** The day or hour at the right end of a Bench line. */
export function untilWords(step: NextStep, zone: string): string {
  if (!step.until) return "";
  return /^\d{4}-\d\d-\d\d$/.test(step.until) ? formatDay(step.until) : formatInstant(step.until, zone);
}
