import { lastOf } from "@/core/job/log/lines";
import type { EnergyOf } from "../../energy-of";

/** Class, connection or heater said anew asks the tests again: their limits were those of another machine. */
export const energy: EnergyOf<"taken-in"> = (payload, _, earlier) => {
  const before = lastOf(earlier, "taken-in")?.payload;
  const isOther =
    before !== undefined &&
    (before.protectionClass !== payload.protectionClass ||
      before.connection !== payload.connection ||
      before.heater !== payload.heater);
  return isOther ? [{ event: "worked", spoils: ["look", "earth", "insulation"], on: "machine" }] : [];
};
