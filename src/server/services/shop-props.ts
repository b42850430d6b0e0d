import type { Shop } from "@/core/shop/shop";
import type { ShopContext } from "./shop-context";

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
