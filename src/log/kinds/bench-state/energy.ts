import type { EnergyOf } from "../../energy-of";
import { happened } from "../../happened";

/** Said by the repairer, as it is; an incident leaves nobody sure of the plug. */
export const energy: EnergyOf<"bench-state"> = (payload) =>
  payload.event === "incident" ? [{ event: "may-have-had-power" }, ...happened(payload.what)] : [payload];
