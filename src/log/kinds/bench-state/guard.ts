import { issue } from "@/core/result";
import type { Guard } from "../../guard";

const SHORTEST = 3;

/** What machines of its kind have is not said away with one tap: why this one has none is written down. */
export const guard: Guard<"bench-state"> = (payload, view) => {
  if (payload.event !== "held" || payload.is !== "none") return [];
  const { id, why = "" } = payload;
  if (!view.machine.kindHas.includes(id) || why.trim().length >= SHORTEST) return [];
  return [
    issue(
      "payload.why",
      "guard/kind-has-it",
      `A machine of this kind has it (${id}): say why this one has none, such as "taken off before it came in".`,
      why,
    ),
  ];
};
