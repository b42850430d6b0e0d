import type { ShopCounts } from "../isolation/shop-counts";
import type { Parameters } from "../knowledge/parameters";
import type { Knowledge, Limits } from "../knowledge/types";
import type { ToolCard } from "../tools/tool";
import type { Settings } from "./settings";

/** What every screen gets from the server once: the shop's settings, its limits and the words of the trade. */
export interface Shop {
  readonly settings: Settings;
  readonly limits: Limits;
  readonly parameters: Parameters;
  readonly knowledgeVersion: string;
  readonly families: Knowledge["families"];
  readonly signs: Knowledge["signs"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly moves: Knowledge["moves"];
  /** Every tool, as far as it is plain data. */
  readonly tools: readonly ToolCard[];
  readonly archetypes: Knowledge["archetypes"];
  readonly access: Knowledge["access"];
  readonly hazards: Knowledge["hazards"];
  readonly seen: Knowledge["seen"];
  readonly protections: Knowledge["protections"];
  readonly recalls: Knowledge["recalls"];
  /** What the shop's own closed jobs add to the chances; nothing unless the shop has chosen so. */
  readonly counts: ShopCounts | undefined;
  /** Whether a meter is set up that readings can be taken from. */
  readonly hasMeter: boolean;
  /** The moment the page was made: screens tick on from it. */
  readonly now: string;
}

/** As much of it as the Bench uses. */
export type BenchShop = Pick<Shop, "settings" | "limits" | "deadChecks" | "moves" | "tools" | "now">;

/** What is the same for every page while the knowledge is: the bulk of it. */
export const TRADE_WORDS = [
  "families",
  "signs",
  "deadChecks",
  "moves",
  "tools",
  "archetypes",
  "access",
  "hazards",
  "seen",
  "protections",
  "recalls",
] as const satisfies readonly (keyof Shop)[];

export type TradeWords = Pick<Shop, (typeof TRADE_WORDS)[number]>;
