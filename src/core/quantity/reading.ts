/** What a meter can be asked for. `unit` is SI; a number typed without a unit is taken in `bare`. */
export interface QuantityKind {
  readonly label: string;
  readonly unit: "F" | "Ω" | "V" | "A" | "W" | "Hz" | "K" | "s" | "1/min" | "m" | "dB" | "share";
  readonly bare: { readonly symbol: string; readonly scale: number; readonly offset: number };
  /** Physically possible range, SI. */
  readonly min: number;
  readonly max: number;
}

const plain = (symbol: string, scale = 1, offset = 0) => ({ symbol, scale, offset });

/** Symbols use U+03BC for micro and U+03A9 for ohm. */
export const QUANTITIES = {
  capacitance: { label: "capacitance", unit: "F", bare: plain("μF", 1e-6), min: 0, max: 1 },
  resistance: { label: "resistance", unit: "Ω", bare: plain("Ω"), min: 0, max: 1e12 },
  insulation: { label: "insulation resistance", unit: "Ω", bare: plain("MΩ", 1e6), min: 0, max: 1e15 },
  voltage: { label: "voltage", unit: "V", bare: plain("V"), min: -100_000, max: 100_000 },
  current: { label: "current", unit: "A", bare: plain("A"), min: -10_000, max: 10_000 },
  power: { label: "power", unit: "W", bare: plain("W"), min: 0, max: 1e7 },
  frequency: { label: "frequency", unit: "Hz", bare: plain("Hz"), min: 0, max: 1e9 },
  temperature: { label: "temperature", unit: "K", bare: plain("°C", 1, 273.15), min: 173.15, max: 1273.15 },
  speed: { label: "speed", unit: "1/min", bare: plain("r/min"), min: 0, max: 1e6 },
  time: { label: "time", unit: "s", bare: plain("s"), min: 0, max: 1e7 },
  dissipation: { label: "dissipation factor", unit: "share", bare: plain(""), min: 0, max: 10 },
  noise: { label: "sound level", unit: "dB", bare: plain("dB"), min: -20, max: 200 },
} as const satisfies Record<string, QuantityKind>;

export type QuantityId = keyof typeof QUANTITIES;

/** Never Infinity for OL, never 0 for "not measured". */
export type Reading =
  | {
      readonly kind: "value";
      /** SI. */
      readonly value: number;
      readonly unit: QuantityKind["unit"];
      /** The text as it was typed. */
      readonly entered: string;
      /** Weight of the last digit typed, SI. */
      readonly resolution?: number | undefined;
    }
  | { readonly kind: "over-range"; readonly limit?: number | undefined; readonly entered: string }
  | { readonly kind: "under-range"; readonly limit?: number | undefined; readonly entered: string }
  | { readonly kind: "not-taken"; readonly why: string };
