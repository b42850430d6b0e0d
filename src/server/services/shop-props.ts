import { type BenchShop, type Shop, TRADE_WORDS } from "@/core/shop/shop";
import { meterPath } from "./meter";
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
  const { access, archetypes, hazards, seen, recalls, protections } = knowledge;
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
    protections,
    recalls,
    counts,
    hasMeter: meterPath() !== undefined,
    now,
  };
}

/**
 * The props of a page: the words of the trade are there for the server, which draws with them, and are not sent with the
 * page, whose own script brings them.
 */
export function pageShop(shop: Shop): Shop {
  const sent: Shop = { ...shop };
  for (const name of TRADE_WORDS) Object.defineProperty(sent, name, { value: shop[name], enumerable: false });
  return sent;
}

/** The words of the trade as a script, the same as long as `knowledgeVersion` is. */
export function tradeScript(shop: Shop): string {
  const words = Object.fromEntries(TRADE_WORDS.map((name) => [name, shop[name]]));
  return `globalThis.goodSpindleTrade=JSON.parse(${JSON.stringify(JSON.stringify(words))});`;
}
