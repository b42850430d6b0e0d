import type { BenchShop, Shop } from "@/core/shop/shop";
import type { ShopContext } from "./shop-context";

/** As much of them as the Bench uses: of the moves, those that tools judge. */
export function benchProps(shopContext: ShopContext, now: string): BenchShop {
  const { settings, limits, deadChecks, moves, tools } = shopProps(shopContext, now);
  const judged = new Set(tools.flatMap(({ judges }) => judges));
  return { settings, limits, deadChecks, tools, now, moves: moves.filter(({ id }) => judged.has(id)) };
}

/** The props that every screen gets with its page. */
export function shopProps(
  { settings, limits, parameters, tools, knowledge, counts }: ShopContext,
  now: string,
): Shop {
  const { version: knowledgeVersion, families, signs, deadChecks, moves } = knowledge;
  const { access, archetypes, hazards, seen, recalls } = knowledge;
  return {
    settings: settings.value,
    limits,
    parameters,
    knowledgeVersion,
    families,
    signs,
    deadChecks,
    moves,
    tools,
    access,
    archetypes,
    hazards,
    seen,
    recalls,
    counts,
    now,
  };
}
