import { needToTouch } from "@/core/job/reassembly/touched";
import type { Guard } from "../../guard";
import { guardHands } from "../../guard-bench";
import { guardPin } from "../../guard-pin";

export const guard: Guard<"removed"> = ({ pin, sort, taken }, view, _, context) => [
  ...guardPin(view, pin, "payload.pin"),
  ...guardHands(taken, view, needToTouch(sort), context),
];
