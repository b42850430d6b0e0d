import { readOf } from "./as-typed";

/** How far plate and shop may lie apart and still mean the same mains: 220 to 240 V is one system. */
const SAME_WITHIN = 0.15;

export interface Supply {
  /** The strictest: the higher of what the plate asks for and what the shop's outlets have. Volts. */
  readonly volts: number;
  /** What the plate asks for, where it does not agree with the shop. Volts. */
  readonly plateDisagrees: number | undefined;
}

/**
 * The supply that decides what may be fitted and how long is drained.
 * @param plateVolts as typed from the plate, empty where it tells none
 * @example supplyOf("120", 230) // { volts: 230, plateDisagrees: 120 }
 */
export function supplyOf(plateVolts: string, shopVolts: number): Supply {
  const plate = readOf(plateVolts, "voltage");
  if (plate === undefined || plate <= 0) return { volts: shopVolts, plateDisagrees: undefined };
  const isSame = Math.abs(plate - shopVolts) <= SAME_WITHIN * Math.max(plate, shopVolts);
  return { volts: Math.max(plate, shopVolts), plateDisagrees: isSame ? undefined : plate };
}
