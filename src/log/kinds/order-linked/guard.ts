import { issue } from "@/core/result";
import type { Guard } from "../../guard";

/** A part arrives, or is not coming, once after each order. */
export const guard: Guard<"order-linked"> = ({ part, state }, { orders }) => {
  const last = orders.find((one) => one.part === part);
  if (state === "ordered") {
    return last?.state === "ordered"
      ? [
          issue(
            "payload.part",
            "guard/ordered-already",
            `"${part}" is ordered already, by line ${last.seq}, ${last.by}.`,
            part,
          ),
        ]
      : [];
  }
  if (last?.state === "ordered") return [];
  return [
    issue(
      "payload.part",
      last ? "guard/order-settled" : "guard/no-order",
      last
        ? `"${part}" is ${last.state} already, by line ${last.seq}, ${last.by}.`
        : `"${part}" was not ordered: order it first.`,
      part,
    ),
  ];
};
