import type { Knowledge, Limits } from "@/core/knowledge/types";
import type { Settings } from "@/core/shop/settings";
import type { Ground } from "./ground";

/** What every screen gets with its page; the islands know it as `Shop`. */
export interface ShopProps {
  readonly settings: Settings;
  readonly limits: Limits;
  readonly knowledgeVersion: string;
  readonly families: Knowledge["families"];
  readonly signs: Knowledge["signs"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly moves: Knowledge["moves"];
  readonly now: string;
}

export function shopProps({ settings, limits, knowledge }: Ground, now: string): ShopProps {
  const { version: knowledgeVersion, families, signs, deadChecks, moves } = knowledge;
  return { settings: settings.value, limits, knowledgeVersion, families, signs, deadChecks, moves, now };
}
