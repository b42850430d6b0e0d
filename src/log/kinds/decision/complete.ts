import { type Decision, needsProof } from "@/core/decision/decide";
import type { DecisionTrial, Route } from "@/core/decision/routes";
import type { Repair } from "@/core/knowledge/types";
import { fail, issue, ok, type Result } from "@/core/result";
import { stepLabel } from "@/islands/words/routes";
import { decisionFor } from "@/server/services/decide-job";
import type { ShopContext } from "@/server/services/shop-context";
import type { Completion } from "../../completion";
import type { Drafts } from "../../schemas";

function routeLabel(route: Route, first: DecisionTrial | undefined, repairs: readonly Repair[]): string {
  if (route.id === "replace") return "Another machine";
  return stepLabel(first?.repairs ?? [], repairs);
}

function refusal(repair: string, { refused }: Decision, shopContext: ShopContext): Result<never> | undefined {
  const one = refused.find((row) => row.repair === repair);
  if (!one) return undefined;
  const { repairs, faults } = shopContext.knowledge;
  const label = repairs.find(({ id }) => id === repair)?.label ?? repair;
  const root = faults.find(({ id }) => id === one.root)?.label ?? one.root;
  return fail(
    issue(
      "payload.repair",
      "decide/consequence-only",
      `"${label}" changes only the consequence: ${root.charAt(0).toLowerCase()}${root.slice(1)} would bring it about again. Repair that first.`,
      repair,
    ),
  );
}

/** The first step of the route as asked for: the cheapest, or one that the repairer would rather try first. */
function firstStep(
  draft: Drafts["decision"],
  route: Route,
  trials: readonly DecisionTrial[],
): DecisionTrial | undefined {
  if (draft.route !== "part" || draft.repair === undefined) return route.steps[0];
  return trials.find(({ repairs }) => repairs.length === 1 && repairs[0] === draft.repair);
}

/** What a route costs, and whether it may be taken without proof: by the server's own isolation. */
export const complete: Completion<"decision"> = async (draft, { view, shopContext }) => {
  const found = await decisionFor(view, shopContext);
  if (!found.ok) return found;
  const { decision, isolation } = found.value;
  const refused = draft.repair === undefined ? undefined : refusal(draft.repair, decision, shopContext);
  if (refused) return refused;
  const route = decision.routes[draft.route];
  if (!route)
    return fail(
      issue(
        "payload.route",
        "decide/no-route",
        "Repairs first and then a motor saves nothing here: choose the repair or the motor.",
        draft.route,
      ),
    );
  const first = firstStep(draft, route, isolation.trials);
  if (draft.route !== "replace" && !first)
    return fail(
      issue(
        "payload.route",
        "decide/nothing-to-try",
        draft.repair === undefined
          ? "No repair is worth trying: choose another motor or another machine."
          : `Nothing speaks for "${draft.repair}" as the cure.`,
        draft.repair ?? draft.route,
      ),
    );
  const machine = decision.routes.replace.mean;
  const share = shopContext.parameters["unproven-part-share"];
  const isUnproven = !isolation.purchaseGate.open && needsProof(draft.route, first, machine, share);
  if (isUnproven && draft.overrideWhy.trim() === "")
    return fail(
      issue(
        "payload.overrideWhy",
        "decide/no-proof",
        "Nothing has proved the leading suspect directly yet: measure it first, or say why it is bought without proof.",
      ),
    );
  const against = decision.best.id === route.id ? decision.next : decision.best;
  return ok({
    payload: {
      route: route.id,
      repairs: first?.repairs ?? [],
      label: routeLabel(route, first, shopContext.knowledge.repairs),
      mean: route.mean,
      wrong: first ? 1 - first.cures : 0,
      against: { route: against.id, mean: against.mean },
      overrideWhy: isUnproven ? draft.overrideWhy : "",
    },
  });
};
