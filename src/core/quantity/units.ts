/** A finite number in the unit `U` (SI). Arithmetic drops the brand: wrap again where the unit was earned. */
export type In<U extends string> = number & { readonly __unit: U };

export type Ohms = In<"Ω">;
export type Farads = In<"F">;
export type Volts = In<"V">;
export type Amps = In<"A">;
export type Watts = In<"W">;
export type Joules = In<"J">;
export type Seconds = In<"s">;
export type Hertz = In<"Hz">;
/** Absolute temperature. A difference of temperatures is {@link KelvinDifference}. */
export type Kelvin = In<"K">;
export type KelvinDifference = In<"ΔK">;

function inUnit<U extends string>(unit: U) {
  return (value: number): In<U> => {
    if (!Number.isFinite(value)) throw new RangeError(`${value} is not a finite number of ${unit}`);
    return value as In<U>;
  };
}

export const ohms = inUnit("Ω");
export const farads = inUnit("F");
export const volts = inUnit("V");
export const amps = inUnit("A");
export const watts = inUnit("W");
export const joules = inUnit("J");
export const seconds = inUnit("s");
export const hertz = inUnit("Hz");
export const kelvin = inUnit("K");

/** 0 °C in kelvin. */
export const ZERO_CELSIUS_K = 273.15;
