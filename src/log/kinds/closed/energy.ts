import type { EnergyOf } from "../../energy-of";

export const energy: EnergyOf<"closed"> = ({ access }) => [{ event: "closed", access }];
