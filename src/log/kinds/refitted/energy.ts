import type { EnergyOf } from "../../energy-of";
import { workOn } from "../../work-on";

/** What went back spoils what its coming off could. */
export const energy: EnergyOf<"refitted"> = ({ line }, _, earlier) => {
  const off = earlier.find(({ seq }) => seq === line);
  return off?.kind === "removed" ? workOn(off.payload.sort) : [];
};
