import { fail, issue, ok, type Result } from "../result";
import { QUANTITIES, type QuantityId } from "./reading";

/** What a meter shows at a moment, as a line of the protocol says it (docs/meter-protocol.md). SI. */
export interface MeterLine {
  readonly quantity: QuantityId;
  readonly kind: "value" | "over-range" | "under-range";
  /** SI; 0 where there is no value. */
  readonly value: number;
  /** Weight of the last digit, SI. */
  readonly resolution: number;
}

const isQuantity = (word: string): word is QuantityId => Object.hasOwn(QUANTITIES, word);
const NUMBER = /^[+-]?\d+(?:\.\d+)?(?:e[+-]?\d+)?$/i;

/**
 * One line as a meter sends it: READ, the quantity, the value in SI or OL or UL, the weight of its last digit in SI.
 * @example parseMeterLine("READ resistance 14.2 0.1") // 14.2 Ω to 0.1 Ω
 */
export function parseMeterLine(line: string): Result<MeterLine> {
  const [word, quantity = "", value = "", digit = ""] = line.trim().split(/\s+/);
  const wrong = (why: string): Result<never> =>
    fail(issue("", "meter/unreadable", `The meter's line "${line.trim().slice(0, 80)}" ${why}.`, line));
  if (word !== "READ") return wrong("does not begin with READ");
  if (!isQuantity(quantity)) return wrong(`names no quantity: "${quantity}"`);
  if (!NUMBER.test(digit) || Number(digit) <= 0) return wrong("does not say the weight of its last digit");
  const resolution = Number(digit);
  if (value === "OL") return ok({ quantity, kind: "over-range", value: 0, resolution });
  if (value === "UL") return ok({ quantity, kind: "under-range", value: 0, resolution });
  if (!NUMBER.test(value) || !Number.isFinite(Number(value))) return wrong(`has no number: "${value}"`);
  return ok({ quantity, kind: "value", value: Number(value), resolution });
}

/** The line that says it. */
export function meterLine({ quantity, kind, value, resolution }: MeterLine): string {
  const shown = kind === "value" ? String(value) : kind === "over-range" ? "OL" : "UL";
  return `READ ${quantity} ${shown} ${resolution}`;
}

/** What would be typed for it, in the quantity's bare unit, to the meter's last digit. */
export function typedOf({ quantity, kind, value, resolution }: MeterLine): string {
  if (kind !== "value") return kind === "over-range" ? "OL" : "UL";
  const { scale, offset } = QUANTITIES[quantity].bare;
  const decimals = Math.max(0, Math.min(9, -Math.floor(Math.log10(resolution / scale) + 1e-9)));
  // Three decimals could be read as thousands: a meter's volts are written in thousandths.
  if (quantity === "voltage" && decimals === 3) return `${(value * 1000).toFixed(0)} mV`;
  return ((value - offset) / scale).toFixed(decimals);
}

export interface Sample {
  /** Milliseconds. */
  readonly at: number;
  readonly line: MeterLine;
}

/** Time for which a reading must stand still to be kept, ms. */
export const STEADY_MS = 2000;

/**
 * Whether a meter has stood still for two seconds: the same kind all the while, and no more than two counts of its last
 * digit between the highest and the lowest. Milliseconds.
 */
export function isSteady(samples: readonly Sample[], now: number): boolean {
  const first = samples[0];
  const recent = samples.filter(({ at }) => at >= now - STEADY_MS);
  const newest = recent.at(-1);
  if (!first || !newest || first.at > now - STEADY_MS || recent.length < 3) return false;
  const values = recent.map(({ line }) => line.value);
  const spread = Math.max(...values) - Math.min(...values);
  const isSameKind = recent.every(
    ({ line }) => line.kind === newest.line.kind && line.quantity === newest.line.quantity,
  );
  return isSameKind && spread <= 2 * newest.line.resolution * (1 + 1e-9);
}
