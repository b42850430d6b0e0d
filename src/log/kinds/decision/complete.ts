import type { ActionKind } from "@/core/decision/action";
import { firstBuyOf, needsProof } from "@/core/decision/decide";
import type { Route } from "@/core/decision/routes";
import { isEnd } from "@/core/decision/schools";
import type { Isolation } from "@/core/isolation/isolate";
import type { JobDecision } from "@/core/job/deciding/decide-job";
import { fail, issue, ok, type Result } from "@/core/result";
import { routeLabel, stepLabel } from "@/words/routes";
import type { Completion, ShopFacts } from "../../completion";
import type { Drafts } from "../../schemas";

function refusal(repair: string, { refused }: JobDecision, shop: ShopFacts): Result<never> | undefined {
  const one = refused.find((row) => row.repair === repair);
  if (!one) return undefined;
  const { repairs, faults } = shop.knowledge;
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

/** What is done first: repairs by id, what it costs in parts, and the chance that it ends it. */
interface First {
  readonly repairs: readonly string[];
  readonly kind: ActionKind;
  readonly cashMinor: number;
  readonly cures: number;
}

/** The first step of the route as asked for: the cheapest, or one that the repairer would rather try first. */
function firstOf(
  draft: Drafts["decision"],
  route: Route | undefined,
  trials: Isolation["trials"],
): First | undefined {
  if (draft.route === "part" && draft.repair !== undefined) {
    const trial = trials.find(({ repairs }) => repairs.length === 1 && repairs[0] === draft.repair);
    return (
      trial && { repairs: trial.repairs, kind: "repair", cashMinor: trial.partMinor, cures: trial.cures }
    );
  }
  const step = route?.steps[0];
  return (
    step && {
      repairs: step.action.repairs,
      kind: step.action.kind,
      cashMinor: step.action.cash.likely,
      cures: step.cures,
    }
  );
}

function noRoute(draft: Drafts["decision"], { routes }: JobDecision): Result<never> {
  const open = routes.flatMap(({ id }) => (id === "measure" ? [] : [id]));
  const isNothing = draft.route === "part" && !open.includes("part");
  return fail(
    issue(
      "payload.route",
      isNothing ? "decide/nothing-to-try" : "decide/no-route",
      isNothing
        ? "No repair is worth trying: choose another motor or another machine."
        : `There is no such way here as "${draft.route}": choose one of ${open.join(", ")}.`,
      draft.route,
    ),
  );
}

/** What a route costs, and whether it may be taken without proof: by the server's own isolation. */
export const complete: Completion<"decision"> = async (draft, { view, shop, services }) => {
  const found = await services.decide(view);
  if (!found.ok) return found;
  const { decision, isolation } = found.value;
  const refused = draft.repair === undefined ? undefined : refusal(draft.repair, decision, shop);
  if (refused) return refused;
  const route = decision.routes.find(({ id }) => id === draft.route);
  const first = firstOf(draft, route, isolation.trials);
  const isNamed = draft.route === "part" && draft.repair !== undefined;
  if (isNamed && !first)
    return fail(
      issue(
        "payload.route",
        "decide/nothing-to-try",
        `Nothing speaks for "${draft.repair}" as the cure.`,
        draft.repair,
      ),
    );
  if (!route) return noRoute(draft, decision);
  const machine = decision.routes.find(({ id }) => id === "replace")?.mean ?? 0;
  const share = shop.parameters["unproven-part-share"];
  const buy = isNamed && first ? { id: route.id, ...first } : firstBuyOf(route);
  const isUnproven = !isolation.purchaseGate.open && needsProof(buy, machine, share);
  if (isUnproven && draft.overrideWhy.trim() === "")
    return fail(
      issue(
        "payload.overrideWhy",
        "decide/no-proof",
        "Nothing has proved the leading suspect directly yet: measure it first, or say why it is bought without proof.",
      ),
    );
  const isBest = decision.best.id === route.id;
  const against = isBest ? decision.next : decision.best;
  const { knowledge } = shop;
  return ok({
    payload: {
      route: draft.route,
      repairs: isEnd(route) ? [] : [...(first?.repairs ?? [])],
      label: isNamed ? stepLabel(first?.repairs ?? [], knowledge.repairs) : routeLabel(route, knowledge),
      mean: route.mean,
      wrong: first ? Math.min(1, Math.max(0, 1 - first.cures)) : 0,
      against: { route: against.id, mean: against.mean },
      overrideWhy: isUnproven ? draft.overrideWhy : "",
      otherWhy: isBest ? "" : (draft.otherWhy ?? ""),
    },
  });
};
