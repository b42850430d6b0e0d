import type { Guard } from "../../guard";
import { guardPin } from "../../guard-pin";

export const guard: Guard<"removed"> = ({ pin }, view) => guardPin(view, pin, "payload.pin");
