import type { FigureId } from "@/core/decision/figures";

/** Each figure of a job as the log says it. */
const FIGURES: Readonly<Record<FigureId, string>> = {
  machine: "Price of another machine",
  rate: "An hour at the bench counts",
  day: "A day without the machine costs",
  worth: "Running, it is worth to its owner",
  "second-hand": "A second-hand one is offered at",
  trade: "Another shop asks",
  postage: "Postage of an order",
  scrap: "Scrap brings",
  disposal: "Disposal costs",
};

/** What a price is the price of. */
export function pricedLabel(of: string): string {
  if (Object.hasOwn(FIGURES, of)) return FIGURES[of as FigureId];
  const [kind, id = ""] = of.includes(":") ? of.split(":", 2) : ["part", of];
  const plain = id.replaceAll("-", " ");
  if (kind === "donor") return `Price out of a donor, ${plain}`;
  return kind === "assembly" ? `Price of the assembly, ${plain}` : `Price, ${plain}`;
}
