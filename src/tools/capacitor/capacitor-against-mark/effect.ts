import { SMALL_FAN, THIRD_HORSEPOWER } from "@/core/simulation/circuits";
import { type InductionCircuit, inductionPoint } from "@/core/simulation/induction-motor";

interface Machine {
  readonly circuit: InductionCircuit;
  readonly volts: number;
  /** Its own capacitor, farads, and the resistance in series with it, ohms. */
  readonly farads: number;
  readonly ohms: number;
}

const START: Machine = { circuit: THIRD_HORSEPOWER, volts: 115, farads: 150e-6, ohms: 0.9 };
const RUN: Machine = { circuit: SMALL_FAN, volts: 230, farads: 5e-6, ohms: 0.5 };

/** Slip at which the run-capacitor motor's torque and copper heat are compared: about its full load. */
const LOADED_SLIP = 0.053;

function pointOf({ circuit, volts, farads, ohms }: Machine, share: number, slip: number) {
  const reactance = -1 / (2 * Math.PI * circuit.hertz * farads * share);
  return inductionPoint(
    circuit,
    {
      supplyVolts: volts,
      supplyOhms: 0,
      auxiliarySeries: { ohms, reactance },
      isMainOpen: false,
      shortedTurns: 0,
    },
    slip,
  );
}

export interface Effect {
  /** Torque from standstill over that with the whole capacitor. */
  readonly startTorque: number;
  /** Torque at full-load slip over that with the whole capacitor; of a run capacitor only. */
  readonly loadedTorque: number | undefined;
}

/**
 * What a share of its microfarads does to a motor of the kind, simulated by the double revolving field on a made-up
 * motor: shares of its own torque. Source: physics (docs/methods, single-phase induction machine).
 * @example a start capacitor at 0.5 of its value leaves about half of the starting torque
 */
export function effectOf(role: "start" | "run", share: number): Effect {
  const machine = role === "start" ? START : RUN;
  const part = Math.max(1e-3, share);
  const ratio = (slip: number): number =>
    pointOf(machine, part, slip).torque / pointOf(machine, 1, slip).torque;
  return {
    startTorque: Math.max(0, ratio(1)),
    loadedTorque: role === "run" ? Math.max(0, ratio(LOADED_SLIP)) : undefined,
  };
}
