/** Plate values in SI; what the plate does not say is absent. */
export interface PlateValues {
  readonly volts?: number | undefined;
  readonly hertz?: number | undefined;
  readonly amps?: number | undefined;
  readonly watts?: number | undefined;
  /** Turns a minute. */
  readonly speed?: number | undefined;
  readonly powerIs: "input" | "output" | "peak" | "not-said";
}

/** Shares of volts × amps that a plate's power is held against: limit rows, as the caller resolved them. */
export interface PlateLimits {
  /** Power taken in cannot be more than this share of volts × amps. */
  readonly inputMost: number;
  /** From here on unmarked power is taken for input. */
  readonly inputFrom: number;
  /** Efficiency times power factor of small motors, lowest and highest. */
  readonly outputLeast: number;
  readonly outputMost: number;
  /** Largest slip of an induction motor at its plate speed. */
  readonly slipMost: number;
}

/** What the plate means, as a code with its figures: the words are the screen's. */
export interface PlateMeaning {
  readonly code:
    | "volt-amperes"
    | "input"
    | "output"
    | "either"
    | "peak"
    | "more-than-taken-in"
    | "output-too-high"
    | "output-low"
    | "poles"
    | "above-two-poles"
    | "no-pole-count";
  readonly figures: Readonly<Record<string, number>>;
}

function powerMeaning(watts: number, taken: number, plate: PlateValues, limits: PlateLimits): PlateMeaning {
  const share = watts / taken;
  const figures = { watts, taken, share };
  if (plate.powerIs === "peak") return { code: "peak", figures };
  if (share > limits.inputMost) return { code: "more-than-taken-in", figures };
  if (plate.powerIs === "input") return { code: "input", figures };
  if (plate.powerIs === "output") {
    if (share > limits.outputMost) return { code: "output-too-high", figures };
    return { code: share < limits.outputLeast ? "output-low" : "output", figures };
  }
  if (share >= limits.inputFrom) return { code: "input", figures };
  return { code: share < limits.outputLeast ? "output-low" : "either", figures };
}

/** Poles of an induction motor from its plate speed: the next synchronous speed 120 f/p above it. */
function speedMeaning(speed: number, hertz: number, slipMost: number): PlateMeaning {
  const twoPoles = 60 * hertz;
  if (speed > twoPoles) return { code: "above-two-poles", figures: { speed, synchronous: twoPoles } };
  for (let poles = 2; poles <= 16; poles += 2) {
    const synchronous = (120 * hertz) / poles;
    const next = (120 * hertz) / (poles + 2);
    if (speed <= next) continue;
    const slip = 1 - speed / synchronous;
    return slip <= slipMost
      ? { code: "poles", figures: { poles, synchronous, slip } }
      : { code: "no-pole-count", figures: { speed, synchronous, slip } };
  }
  return { code: "no-pole-count", figures: { speed, synchronous: twoPoles / 8, slip: 1 } };
}

/**
 * What the figures of a plate mean together: volts times amps against its power, its speed against the line.
 * Nothing is called a contradiction that a plate may honestly say: input watts, output horsepower, peaks for selling.
 * @returns nothing for what the plate does not say. Source: physics, shop-practice.
 * @example plateMeaning({ volts: 230, amps: 3.4, watts: 373, powerIs: "output" }, LIMITS)[1].code // "output"
 */
export function plateMeaning(plate: PlateValues, limits: PlateLimits): readonly PlateMeaning[] {
  const { volts, hertz, amps, watts, speed } = plate;
  const taken = volts !== undefined && amps !== undefined ? volts * amps : undefined;
  return [
    ...(taken === undefined ? [] : [{ code: "volt-amperes", figures: { taken } } as const]),
    ...(watts !== undefined && taken !== undefined && taken > 0
      ? [powerMeaning(watts, taken, plate, limits)]
      : watts !== undefined && plate.powerIs === "peak"
        ? [{ code: "peak", figures: { watts } } as const]
        : []),
    ...(speed !== undefined && hertz !== undefined && hertz > 0 && speed > 0
      ? [speedMeaning(speed, hertz, limits.slipMost)]
      : []),
  ];
}
