import type { EnergyOf } from "../../energy-of";
import { workOn } from "../../work-on";

export const energy: EnergyOf<"removed"> = ({ sort }) => workOn(sort);
