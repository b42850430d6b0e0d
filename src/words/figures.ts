import type { BeforeAfter } from "@/core/job/sign-off/before-after";
import type { Shop } from "@/core/shop/shop";

const QUANTITY: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    current: "Running current",
    time: "Stop time",
    capacitance: "Capacitance",
    noise: "Noise",
    temperature: "Temperature",
    speed: "Speed",
  }),
);

/** What a figure taken before and after is called. */
export function figureName({ id }: Pick<BeforeAfter, "id">, shop: Pick<Shop, "moves">): string {
  const move = shop.moves.find((one) => one.id === id)?.title.replace(/^Measure the /, "");
  const name = QUANTITY.get(id) ?? move ?? id;
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}`;
}
