import type { Attributes } from "@/core/matching/part";

/** Two ways to rate a fuse: the same number is not the same fuse. */
export const FAMILIES_OF_RATING = {
  "iec-60127": "IEC 60127: carries 1.5 times its amps for an hour",
  "ul-248-14": "UL 248-14: opens at 1.35 times its amps",
  "plug-top": "plug fuse, by the size of the cord",
} as const;

const BREAKING = new Map([
  ["H", "high"],
  ["E", "enhanced"],
  ["L", "low"],
]);

const MILLI = 1e-3;

/**
 * What stands on a fuse's cap: time, amps, breaking capacity and volts, as T2A L 250V or T 3.15 A H 250 V.
 * @example readFuse("T2AL250V") // { rating: "iec-60127", speed: "T", amps: 2, breaking: "low", volts: 250 }
 */
export function readFuse(text: string): Attributes | undefined {
  const found =
    /^\s*(FF|TT|F|M|T)\s*(\d+(?:[.,]\d+)?)\s*(mA|A)?\s*([HEL])?\s*(?:(\d{2,3})\s*V)?\s*(?:AC|~)?\s*$/i.exec(
      text,
    );
  if (!found) return undefined;
  const [, speed = "", number = "", unit = "A", breaking, volts] = found;
  const amps = Number(number.replace(",", ".")) * (unit.toLowerCase() === "ma" ? MILLI : 1);
  if (!(amps > 0)) return undefined;
  return {
    rating: "iec-60127",
    speed: speed.toUpperCase(),
    amps,
    ...(breaking ? { breaking: BREAKING.get(breaking.toUpperCase()) } : {}),
    ...(volts ? { volts: Number(volts) } : {}),
  };
}
