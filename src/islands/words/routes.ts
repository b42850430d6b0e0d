import type { Decision } from "@/core/decision/decide";
import type { Route, RouteId } from "@/core/decision/routes";
import type { Repair } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";

const NAMES: Readonly<Record<RouteId, string>> = {
  part: "repair",
  "then-motor": "repairs and then another motor",
  motor: "another motor",
  replace: "another machine",
};

/** What is done in a step; where nothing may be wrong any more, that is to run it. */
export function stepLabel(ids: readonly string[], repairs: readonly Repair[]): string {
  if (ids.length === 0) return "Run it as the complaint comes";
  return ids
    .map((id, index) => {
      const label = repairs.find((repair) => repair.id === id)?.label ?? id;
      return index === 0 ? label : inSentence(label);
    })
    .join(" and ");
}

/** That a motor comes after one repair, or after several. */
const motorLast = (steps: Route["steps"]): string =>
  isMotor(steps[1]) ? "another motor if that fails" : "another motor if the repairs fail";

const isMotor = (step: Route["steps"][number] | undefined): boolean => step?.repairs[0] === "fit-motor";

export function routeLabel({ id, steps }: Route, repairs: readonly Repair[]): string {
  if (id === "replace") return "Another machine";
  if (id === "motor") return "Fit another motor";
  if (!steps[0]) return "No repair is worth trying";
  const first = stepLabel(steps[0].repairs, repairs);
  return id === "then-motor" ? `${first}, ${motorLast(steps)}` : first;
}

/** A first step that fails more often than this is told with the second. */
const DOUBTFUL = 0.3;
const LEAST_SAID = 0.075;

/** The decision in one sentence. */
export function decisionSentence(
  { best, next }: Decision,
  repairs: readonly Repair[],
  currency: string,
): string {
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  const isMixed = best.id === "then-motor";
  const other = isMixed && next.id === "part" ? "repairs alone" : NAMES[next.id];
  const against = `against ${money(next.mean)} for ${other}`;
  if (best.id === "replace")
    return `Another machine: ${money(best.mean)}, ${against}. No repair is worth its chance.`;
  const second = isMixed || best.wrong > DOUBTFUL ? best.steps[1] : undefined;
  const label = second ? stepLabel(second.repairs, repairs) : "";
  // The same repair again is no second step to speak of.
  const first = isMixed ? stepLabel(best.steps[0]?.repairs ?? [], repairs) : routeLabel(best, repairs);
  const isOther = label !== "" && label !== first;
  const last = isMixed && !isMotor(best.steps[1]) ? `, ${motorLast(best.steps)}` : "";
  const then = isOther ? ` first, then ${inSentence(label)}${last}` : last;
  const sure = best.givesUp < LEAST_SAID ? "" : `, and ${formatChance(best.givesUp)} that none of it helps`;
  const alone = second ? "the first alone" : "this alone";
  return `${first}${then}: ${money(best.mean)} on average ${against}, ${formatChance(1 - best.wrong)} that ${alone} ends it${sure}.`;
}
