import type { EnergyOf } from "../../energy-of";

/** It leaves as it stands: plugged in, that is a danger of its own. */
export const energy: EnergyOf<"signed-off"> = () => [{ event: "left" }];
