import type { Shop } from "@/core/shop/shop";
import type { Ground } from "./ground";

/** The props that every screen gets with its page. */
export function shopProps(
  { settings, limits, parameters, tools, knowledge, counts }: Ground,
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
