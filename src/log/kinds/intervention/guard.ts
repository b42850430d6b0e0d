import type { Guard } from "../../guard";
import { guardHands } from "../../guard-bench";

/** A repair that is done now needs what its page touches. */
export const guard: Guard<"intervention"> = ({ taken }, view, _, context) =>
  guardHands(taken, view, context.need, context);
