import type { Proof } from "@/core/safety/energy-event";
import type { EnergyOf } from "../../energy-of";

const ALL: readonly Proof[] = ["look", "earth", "insulation"];

/** Work owes only what it can spoil, by the stations it was done on; work that names no fault owes all. */
export const energy: EnergyOf<"intervention"> = ({ faultIds }, { faults, stations }) => {
  const spoils = faultIds.map((id) => stations.get(faults.get(id)?.station ?? "")?.spoils ?? ALL);
  const owed = spoils.length === 0 ? ALL : ALL.filter((proof) => spoils.some((one) => one.includes(proof)));
  return [{ event: "worked", spoils: owed, on: "repair", mends: faultIds }];
};
