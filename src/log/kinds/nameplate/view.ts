import type { CapacitorPlate, MotorPlate } from "@/core/job/log/entry";
import { latestBy, type Placed } from "@/core/job/log/lines";
import { fold } from "../../view-part";

export const view = {
  plate: fold<"nameplate", (MotorPlate & Placed) | null>(
    null,
    (lines) => lines.findLast((one): one is MotorPlate & Placed => one.plate === "motor") ?? null,
  ),
  /** The last marking of each. */
  capacitors: fold<"nameplate", readonly (CapacitorPlate & Placed)[]>([], (lines) =>
    latestBy(
      lines.filter((one): one is CapacitorPlate & Placed => one.plate === "capacitor"),
      ({ id }) => id,
    ),
  ),
};
