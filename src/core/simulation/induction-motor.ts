import Complex from "complex.js";

/** Equivalent circuit of a single-phase induction motor, referred to its main winding. Ohms, farads, hertz. */
export interface InductionCircuit {
  readonly hertz: number;
  readonly poles: number;
  readonly mainOhms: number;
  readonly mainReactance: number;
  readonly rotorOhms: number;
  readonly rotorReactance: number;
  readonly magnetizingReactance: number;
  readonly auxiliaryOhms: number;
  readonly auxiliaryReactance: number;
  /** Turns of the auxiliary winding over those of the main. */
  readonly turnsRatio: number;
}

/** How the windings stand at this moment. */
export interface InductionState {
  /** Volts at the socket, and the resistance of everything between it and the motor. */
  readonly supplyVolts: number;
  readonly supplyOhms: number;
  /** Series impedance in the auxiliary branch; nothing where the branch is open. */
  readonly auxiliarySeries: { readonly ohms: number; readonly reactance: number } | undefined;
  readonly isMainOpen: boolean;
  /** Share of the main winding's turns that are shorted on themselves. */
  readonly shortedTurns: number;
}

export interface InductionPoint {
  readonly torque: number;
  readonly lineAmps: number;
  readonly mainAmps: number;
  readonly auxiliaryAmps: number;
  /** Volts at the motor's own terminals. */
  readonly terminalVolts: number;
  /** Heat in the stator's copper, watts. */
  readonly copperWatts: number;
}

/** Stands for an open winding: no current worth the name, and no division by nothing. */
const OPEN_OHMS = 1e7;

const z = (re: number, im: number): Complex => new Complex(re, im);

/** Synchronous speed, rad/s. Source: physics (4πf/p). */
export function synchronousSpeed({ hertz, poles }: Pick<InductionCircuit, "hertz" | "poles">): number {
  return (4 * Math.PI * hertz) / poles;
}

function fieldImpedance(circuit: InductionCircuit, slip: number): Complex {
  const rotor = z(circuit.rotorOhms / Math.max(slip, 1e-6), circuit.rotorReactance);
  const magnetizing = z(0, circuit.magnetizingReactance);
  return magnetizing.mul(rotor).div(magnetizing.add(rotor)).mul(0.5);
}

/**
 * Steady state of two unsymmetrical windings by the double revolving field at one slip. The supply's resistance adds to all
 * four entries. A shorted coil is taken as a closed secondary of its share of the turns, tightly coupled to the main; the
 * linear model does not saturate, so that an open main near synchronous speed is beyond it.
 * @param slip per unit of synchronous speed, 1 at standstill
 * @returns torque N·m, currents A, volts V, heat W
 * Source: physics (double revolving field theory).
 */
export function inductionPoint(
  circuit: InductionCircuit,
  state: InductionState,
  slip: number,
): InductionPoint {
  const { turnsRatio: a } = circuit;
  const forward = fieldImpedance(circuit, slip);
  const backward = fieldImpedance(circuit, 2 - slip);
  const both = forward.add(backward);
  // A shorted coil of a share n, seen from the whole main winding: R/n + jX.
  const share = state.shortedTurns;
  const shorted = share > 0 ? z(circuit.mainOhms / share, circuit.mainReactance) : undefined;
  const kept = shorted ? shorted.div(shorted.add(both)) : z(1, 0);
  const mainOhms = (state.isMainOpen ? OPEN_OHMS : circuit.mainOhms) * (1 - share);
  const series = state.auxiliarySeries ?? { ohms: OPEN_OHMS, reactance: 0 };
  const supply = z(state.supplyOhms, 0);
  const coupled = forward.sub(backward).mul(z(0, a)).mul(kept);
  const mainSelf = z(mainOhms, circuit.mainReactance).add(both.mul(kept)).add(supply);
  const auxiliarySelf = z(circuit.auxiliaryOhms + series.ohms, circuit.auxiliaryReactance + series.reactance)
    .add(both.mul(a * a))
    .add(supply);
  const upper = supply.sub(coupled);
  const lower = supply.add(coupled);
  const determinant = mainSelf.mul(auxiliarySelf).sub(upper.mul(lower));
  const volts = z(state.supplyVolts, 0);
  const main = volts.mul(auxiliarySelf.sub(upper)).div(determinant);
  const auxiliary = volts.mul(mainSelf.sub(lower)).div(determinant);
  const turned = auxiliary.mul(z(0, a));
  const withField = main.sub(turned).abs() ** 2;
  const againstField = main.add(turned).abs() ** 2;
  const line = main.add(auxiliary);
  return {
    torque:
      ((forward.re * withField - backward.re * againstField) * kept.abs() ** 2) / synchronousSpeed(circuit),
    lineAmps: line.abs(),
    mainAmps: main.abs(),
    auxiliaryAmps: auxiliary.abs(),
    terminalVolts: volts.sub(line.mul(supply)).abs(),
    copperWatts: main.abs() ** 2 * mainOhms + auxiliary.abs() ** 2 * circuit.auxiliaryOhms,
  };
}
