import { PROOFS } from "@/core/safety/proof";
import type { EnergyOf } from "../../energy-of";

/** It was away: nothing proved on the visit before counts on this one. */
export const energy: EnergyOf<"reopened"> = () => [
  { event: "worked", spoils: PROOFS, on: "reopened", mends: [], stations: [] },
  { event: "may-have-had-power" },
  { event: "seen-to-anew" },
];
