import { type Kelvin, kelvin, type Ohms, ohms, ZERO_CELSIUS_K } from "../quantity/units";

/** What a winding is wound with. */
export const METALS = [
  { value: "copper", label: "Copper" },
  { value: "aluminium", label: "Aluminium" },
] as const;
export type Metal = (typeof METALS)[number]["value"];

/** Temperature, °C, at which the resistance of a metal would be zero, with its sign turned. Source: physics. */
const ZERO_OHMS_C: Readonly<Record<Metal, number>> = { copper: 234.5, aluminium: 225 };

/**
 * Mean temperature of a winding from its resistance: T2 = R2/R1 · (k + T1) − k, k = 234.5 °C for copper, 225 °C for
 * aluminium. Ohms and kelvin in, kelvin out. Source: physics.
 * @example windingTemperature(ohms(12.4), kelvin(294.15), ohms(15.1), "copper") // 349.78 K
 */
export function windingTemperature(cold: Ohms, coldAt: Kelvin, hot: Ohms, metal: Metal): Kelvin {
  const k = ZERO_OHMS_C[metal];
  const coldC = coldAt - ZERO_CELSIUS_K;
  return kelvin((hot / cold) * (k + coldC) - k + ZERO_CELSIUS_K);
}

/**
 * Ohms that a winding has at another temperature: R2 = R1 (k + T2)/(k + T1). Source: physics.
 * @example resistanceAt(ohms(12.4), kelvin(294.15), kelvin(349.78), "copper") // 15.1 Ω
 */
export function resistanceAt(read: Ohms, readAt: Kelvin, wantedAt: Kelvin, metal: Metal): Ohms {
  const k = ZERO_OHMS_C[metal] - ZERO_CELSIUS_K;
  return ohms((read * (k + wantedAt)) / (k + readAt));
}

/** Share by which ohms change for each kelvin about room temperature. */
export function sharePerKelvin(at: Kelvin, metal: Metal): number {
  return 1 / (ZERO_OHMS_C[metal] + at - ZERO_CELSIUS_K);
}
