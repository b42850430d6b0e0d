/** A motor with brushes: series field on alternating current, or permanent magnets on direct current. */
export interface BrushedCircuit {
  readonly kind: "series-ac" | "magnet-dc";
  /** Windings and field together, ohms; brush drop, volts. */
  readonly ohms: number;
  readonly reactance: number;
  readonly brushVolts: number;
  /** Volt-seconds a radian: with magnets as it stands, in series at full flux. */
  readonly constant: number;
  /** Current at which the series field is half saturated, A. */
  readonly saturationAmps: number;
}

export interface BrushedState {
  readonly supplyVolts: number;
  /** Everything in series with the motor, bad brush contact included, ohms. */
  readonly seriesOhms: number;
  /** Flux as a share of what it should be: weak magnets, a shorted field coil. */
  readonly fluxShare: number;
  /** Share of the armature's turns that are shorted on themselves. */
  readonly shortedTurns: number;
}

export interface BrushedPoint {
  readonly torque: number;
  readonly amps: number;
  readonly terminalVolts: number;
  readonly copperWatts: number;
}

/** Volt-seconds a radian at a current: saturating in series, fixed with magnets. */
function constantAt(
  circuit: BrushedCircuit,
  { fluxShare, shortedTurns }: BrushedState,
  amps: number,
): number {
  const flux = circuit.kind === "magnet-dc" ? 1 : (2 * amps) / (amps + circuit.saturationAmps);
  return circuit.constant * flux * fluxShare * (1 - shortedTurns);
}

/** Volts that a current needs at a speed; grows with the current. */
function voltsFor(circuit: BrushedCircuit, state: BrushedState, amps: number, speed: number): number {
  const along =
    amps * (circuit.ohms + state.seriesOhms) + circuit.brushVolts + constantAt(circuit, state, amps) * speed;
  return Math.hypot(along, amps * circuit.reactance);
}

/**
 * Current and torque at a speed: V² = (I·R + V_b + k·ω)² + (I·X)², torque k·I; shorted turns brake as they turn.
 * The current is found by halving the interval: the volts needed grow with it.
 * @param speed rad/s
 * Source: physics (direct-current and series commutator machine).
 */
export function brushedPoint(circuit: BrushedCircuit, state: BrushedState, speed: number): BrushedPoint {
  const ohms = circuit.ohms + state.seriesOhms;
  let [low, high] = [0, state.supplyVolts / ohms];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (voltsFor(circuit, state, middle, speed) < state.supplyVolts) low = middle;
    else high = middle;
  }
  const amps = low;
  const constant = constantAt(circuit, state, amps);
  // Turns shorted on themselves generate into their own resistance: a drag that grows with speed.
  const shortedVolts = constantAt(circuit, { ...state, shortedTurns: 0 }, amps) * state.shortedTurns * speed;
  const shortedOhms = Math.max(circuit.ohms * state.shortedTurns, 1e-3);
  const drag = state.shortedTurns > 0 && speed > 0 ? shortedVolts ** 2 / shortedOhms / speed : 0;
  return {
    torque: constant * amps - drag,
    amps,
    terminalVolts: Math.max(0, state.supplyVolts - amps * state.seriesOhms),
    copperWatts: amps ** 2 * circuit.ohms + (state.shortedTurns > 0 ? shortedVolts ** 2 / shortedOhms : 0),
  };
}
