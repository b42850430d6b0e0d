import { type ComponentType, type FunctionComponent, useMemo } from "react";
import type { Shop, TradeWords } from "@/core/shop/shop";

declare global {
  /** The words of the trade, by the script that a page names in its head: the same for every page, kept by the browser. */
  var goodSpindleTrade: TradeWords | undefined;
}

/** As it comes with the page: whole on the server, without the words of the trade in the browser. */
export function wholeShop(fromPage: Shop): Shop {
  return "moves" in fromPage && fromPage.moves !== undefined
    ? fromPage
    : { ...(globalThis.goodSpindleTrade as unknown as Shop), ...(fromPage as Shop) };
}

/** A screen whose shop comes in two parts: what is this shop's own with the page, the words of the trade apart. */
export function withShop<P extends { readonly shop: Shop }>(Screen: ComponentType<P>): FunctionComponent<P> {
  function WithShop(props: P) {
    const { shop } = props;
    const whole = useMemo(() => wholeShop(shop), [shop]);
    return <Screen {...props} shop={whole} />;
  }
  return WithShop;
}
