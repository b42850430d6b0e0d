import type { EnergyOf } from "../../energy-of";

/** Smoke, shock, water and a tripped residual-current device ask for proof that follows them. */
export const energy: EnergyOf<"complaint"> = ({ signs }, context) => [
  { event: "told", before: signs.flatMap((sign) => context.signs.get(sign)?.before ?? []) },
];
