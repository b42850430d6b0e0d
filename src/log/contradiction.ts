import type { MotorPlate, TakenIn } from "@/core/job/log/entry";
import { highestVolts } from "@/core/markings/volts";
import { readOf } from "@/core/nameplate/as-typed";
import type { LineEvent } from "@/core/safety/energy-event";

/** Above this no machine is of class III, and none runs on a battery alone: extra-low voltage ends there, AC. */
const EXTRA_LOW_VOLTS = 50;
const TEST = "class-and-plate";

/** Class or connection against the plate: both cannot be so, and until it is settled nothing is switched on. */
export function contradiction(
  { protectionClass, connection }: Pick<TakenIn, "protectionClass" | "connection">,
  plate: Pick<MotorPlate, "volts"> | undefined,
): LineEvent {
  const typed = plate?.volts ?? "";
  const volts = readOf(typed, "voltage") ?? highestVolts(typed) ?? 0;
  const isExtraLow =
    protectionClass === "class-3" || protectionClass === "battery" || connection === "battery";
  return isExtraLow && volts > EXTRA_LOW_VOLTS
    ? { event: "danger", kind: "contradiction", place: "plate", remedies: [], test: TEST }
    : { event: "tested", tests: [TEST] };
}
