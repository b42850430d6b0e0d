import type { EnergyOf } from "../../energy-of";

export const energy: EnergyOf<"opened"> = ({ access }) => [{ event: "opened", access }];
