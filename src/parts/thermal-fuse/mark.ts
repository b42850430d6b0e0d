import type { Attributes } from "@/core/matching/part";
import { ZERO_CELSIUS_K } from "@/core/quantity/units";

/**
 * What stands on a thermal fuse: 128 °C 10 A 250 V.
 * @example readThermalFuse("TF 128°C 10A 250V") // { opens: 401.15, amps: 10, volts: 250 }
 */
export function readThermalFuse(text: string): Attributes | undefined {
  const degrees = /(\d{2,3})\s*°\s*C/i.exec(text)?.[1];
  if (degrees === undefined) return undefined;
  const amps = /(\d+(?:[.,]\d+)?)\s*A(?!\w)/.exec(text)?.[1];
  const volts = /(\d{2,3})\s*V/i.exec(text)?.[1];
  return {
    opens: Number(degrees) + ZERO_CELSIUS_K,
    ...(amps ? { amps: Number(amps.replace(",", ".")) } : {}),
    ...(volts ? { volts: Number(volts) } : {}),
  };
}
