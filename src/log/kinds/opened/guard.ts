import { COVER_NEED } from "@/core/job/reassembly/touched";
import type { Guard } from "../../guard";
import { guardHands } from "../../guard-bench";

export const guard: Guard<"opened"> = ({ taken }, view, _, context) =>
  guardHands(taken, view, COVER_NEED, context);
