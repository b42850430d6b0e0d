import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededRandom } from "@/core/seeded-random";
import { type BrushedCircuit, brushedPoint } from "@/core/simulation/brushed-motor";
import {
  dryDrag,
  SIMULATED_FAMILIES,
  type SimulatedFamily,
  soundMachine,
} from "@/core/simulation/faulty-machine";
import { addDrags, coastDownSeconds, type Drag, dragTorque } from "@/core/simulation/friction";
import { canSimulate, withHiddenFault } from "@/core/simulation/hidden-faults";
import { type InductionState, inductionPoint, synchronousSpeed } from "@/core/simulation/induction-motor";
import { settledSpeed } from "@/core/simulation/operating-point";
import { riseAfter, secondsToOpen, secondsToRise } from "@/core/simulation/protector";
import { AS_IT_STANDS, runMachine } from "@/core/simulation/run-machine";
import { KNOWLEDGE, RUNS } from "../shop-context";

const circuitOf = (family: SimulatedFamily) => {
  const part = soundMachine(family).induction;
  if (!part) throw new Error(`${family} has no induction motor`);
  return part.circuit;
};
const through = (hertz: number, farads: number, ohms: number): InductionState["auxiliarySeries"] => ({
  ohms,
  reactance: -1 / (2 * Math.PI * hertz * farads),
});
const at = (volts: number, auxiliarySeries: InductionState["auxiliarySeries"]): InductionState => ({
  supplyVolts: volts,
  supplyOhms: 0,
  auxiliarySeries,
  isMainOpen: false,
  shortedTurns: 0,
});
const slipAt = (family: SimulatedFamily, rpm: number): number =>
  1 - (rpm * Math.PI) / 30 / synchronousSpeed(circuitOf(family));
const run = (family: SimulatedFamily, faults: readonly string[] = [], how = AS_IT_STANDS) =>
  runMachine(
    faults.reduce((made, fault) => withHiddenFault(made, fault, seededRandom(5)), soundMachine(family)),
    how,
    seededRandom(3),
  );

/** Orders of magnitude worked out by hand for made-up machines: family, volts, series branch, r/min, amps, N·m. */
const WORKED = [
  ["capacitor-start", 115, through(60, 150e-6, 0.9), 0, 21, 4.7],
  ["capacitor-start", 115, undefined, 0, 20.3, 0],
  ["capacitor-start", 115, undefined, 1724, 4.9, 1.42],
  ["permanent-split-capacitor", 230, through(50, 5e-6, 0), 0, 3.0, 0.42],
  ["permanent-split-capacitor", 230, through(50, 5e-6, 0), 1421, 0.89, 0.85],
  ["split-phase", 120, { ohms: 0, reactance: 0 }, 0, 24, 1.8],
  ["split-phase", 120, undefined, 1729, 3.9, 1.02],
] as const;

describe("induction motors", () => {
  it.each(WORKED)(
    "%s at %d V, branch %j, %d r/min: about %d A and %d N·m",
    (family, volts, branch, rpm, amps, torque) => {
      const point = inductionPoint(circuitOf(family), at(volts, branch), slipAt(family, rpm));
      expect(Math.abs(point.lineAmps / amps - 1)).toBeLessThan(0.03);
      expect(Math.abs(point.torque - torque)).toBeLessThan(0.06);
    },
  );

  it("with the start circuit still in draws three times what it should", () => {
    const branch = through(60, 150e-6, 0.9);
    const stuck = inductionPoint(
      circuitOf("capacitor-start"),
      at(115, branch),
      slipAt("capacitor-start", 1724),
    );
    expect(stuck.lineAmps).toBeGreaterThan(15);
  });

  it("stands as readily one way as the other on its main winding alone, and turns the way it is pushed", () => {
    const circuit = circuitOf("split-phase");
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.95, noNaN: true }), (slip) => {
        const [forth, back] = [slip, 2 - slip].map(
          (s) => inductionPoint(circuit, at(120, undefined), s).torque,
        );
        expect(Math.abs((forth ?? 0) + (back ?? 0))).toBeLessThan(1e-3);
      }),
      RUNS,
    );
  });

  it("torque grows with the square of the volts", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        (volts, slip) => {
          const branch = through(60, 150e-6, 0.9);
          const whole = inductionPoint(circuitOf("capacitor-start"), at(volts, branch), slip).torque;
          const half = inductionPoint(circuitOf("capacitor-start"), at(volts / 2, branch), slip).torque;
          expect(Math.abs(half * 4 - whole)).toBeLessThan(1e-6 * Math.max(1, Math.abs(whole)));
        },
      ),
      RUNS,
    );
  });
});

describe("brushed motors", () => {
  const magnet: BrushedCircuit = {
    kind: "magnet-dc",
    ohms: 5,
    reactance: 0,
    brushVolts: 1.5,
    constant: 0.31,
    saturationAmps: 1,
  };

  it("with magnets the current is (V − Vb − kω)/R, and the torque k times it", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (volts, share) => {
          const speed = (share * (volts - 1.5)) / 0.31;
          const point = brushedPoint(
            magnet,
            { supplyVolts: volts, seriesOhms: 0, fluxShare: 1, shortedTurns: 0 },
            speed,
          );
          expect(Math.abs(point.amps - (volts - 1.5 - 0.31 * speed) / 5)).toBeLessThan(1e-6);
          expect(Math.abs(point.torque - 0.31 * point.amps)).toBeLessThan(1e-9);
        },
      ),
      RUNS,
    );
  });

  it("a series motor slows and pulls harder under load, and draws least when it runs away", () => {
    const part = soundMachine("universal").brushed;
    if (!part) throw new Error("no brushes");
    const state = { supplyVolts: 230, seriesOhms: 0, fluxShare: 1, shortedTurns: 0 };
    const points = [0, 300, 900, 2000, 4000].map((speed) => brushedPoint(part.circuit, state, speed));
    const amps = points.map((one) => one.amps);
    expect(amps).toEqual([...amps].sort((one, other) => other - one));
    const torques = points.map((one) => one.torque);
    expect(torques).toEqual([...torques].sort((one, other) => other - one));
  });
});

describe("friction, warming and where a motor settles", () => {
  const positive = (max: number) => fc.double({ min: max / 500, max, noNaN: true });

  it("the coast-down's closed forms agree with the equation stepped through", () => {
    fc.assert(
      fc.property(
        positive(0.5),
        positive(0.01),
        positive(1e-4),
        fc.double({ min: 20, max: 300, noNaN: true }),
        (dry, viscous, square, speed) => {
          const drag: Drag = { breakaway: dry, dry, viscous, square };
          const inertia = 2e-3;
          let [time, now] = [0, speed];
          const step = speed / 20_000;
          for (; now > step / 2; now -= step) time += (inertia * step) / dragTorque(drag, now - step / 2);
          expect(Math.abs(coastDownSeconds(inertia, drag, speed) / time - 1)).toBeLessThan(0.01);
        },
      ),
      { numRuns: Math.min(RUNS.numRuns, 60) },
    );
    expect(coastDownSeconds(2e-3, { breakaway: 0.1, dry: 0.1, viscous: 0, square: 0 }, 100)).toBeCloseTo(
      2,
      9,
    );
  });

  it("a device opens sooner at more current, never at what it holds, and at once by its magnet", () => {
    const fuse = { holdsAmps: 5, tau: 30 };
    expect(secondsToOpen(fuse, 5)).toBe(Number.POSITIVE_INFINITY);
    expect(secondsToOpen(fuse, 10)).toBeCloseTo(-30 * Math.log(1 - 0.25), 9);
    expect(secondsToOpen({ ...fuse, atOnceAmps: 50 }, 60)).toBeLessThan(0.1);
    fc.assert(
      fc.property(
        fc.double({ min: 5.1, max: 90, noNaN: true }),
        fc.double({ min: 1.01, max: 3, noNaN: true }),
        (amps, more) => {
          expect(secondsToOpen(fuse, amps * more)).toBeLessThan(secondsToOpen(fuse, amps));
        },
      ),
      RUNS,
    );
  });

  it("a rise is reached when it is said to be", () => {
    const body = { kelvinPerWatt: 0.9, tau: 600 };
    const seconds = secondsToRise(body, 100, 60);
    expect(riseAfter(body, 100, seconds)).toBeCloseTo(60, 9);
    expect(secondsToRise(body, 60, 60)).toBe(Number.POSITIVE_INFINITY);
  });

  it("settles where torque and drag are equal, and does not break a stuck shaft loose", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 2, noNaN: true }), (load) => {
        const torque = (speed: number): number => 3 - speed / 50;
        const drag = addDrags(dryDrag(load));
        const speed = settledSpeed(torque, drag, 200);
        if (1.5 * load >= 3) expect(speed).toBe(0);
        else expect(Math.abs(torque(speed) - dragTorque(drag, speed))).toBeLessThan(1e-6);
      }),
      RUNS,
    );
  });
});

describe("machines with a hidden fault", () => {
  it.each(SIMULATED_FAMILIES)(
    "%s runs at its rated speed and current with nothing wrong, and nothing opens",
    (family) => {
      const { rated } = soundMachine(family);
      const shown = run(family);
      expect(Math.abs(shown.speed / rated.speed - 1)).toBeLessThan(0.03);
      expect(Math.abs(shown.amps / rated.amps - 1)).toBeLessThan(0.1);
      expect(shown.output).toBeGreaterThan(0.95);
      expect(shown.opened).toBe("nothing");
    },
  );

  it("every fault that physics knows is one of the knowledge, and changes the machine", () => {
    const known = new Set(KNOWLEDGE.faults.map(({ id }) => id));
    for (const family of SIMULATED_FAMILIES)
      for (const { id, families } of KNOWLEDGE.faults) {
        const isMeant = families.includes(family) && id !== "no-fault-found";
        if (!isMeant || !canSimulate(id, family)) continue;
        expect(known.has(id)).toBe(true);
        const sound = soundMachine(family);
        expect(withHiddenFault(sound, id, seededRandom(2)), `${id} in ${family}`).not.toEqual(sound);
      }
    expect(() => withHiddenFault(soundMachine("universal"), "no-such-fault", seededRandom(1))).toThrow(
      "no-such-fault",
    );
  });

  it("an open start capacitor, an open start winding and a switch stuck open look alike from outside; a push starts each", () => {
    for (const fault of ["start-capacitor-open", "start-winding-open", "start-switch-stuck-open"]) {
      const stands = run("capacitor-start", [fault]);
      expect(stands.speed).toBe(0);
      expect(Math.abs(stands.amps / 19.1 - 1)).toBeLessThan(0.05);
      const light = { ...AS_IT_STANDS, isPushed: true, isLoadOff: true };
      expect(run("capacitor-start", [fault], light).speed).toBeGreaterThan(170);
    }
  });

  it("an open fuse hides everything behind it", () => {
    expect(run("capacitor-start", ["start-capacitor-open", "fuse-open"])).toMatchObject({
      speed: 0,
      amps: 0,
      voltsAtMotor: 0,
    });
  });

  it("a seized bearing draws the locked current until something opens", () => {
    const stuck = run("split-phase", ["bearing-seized"]);
    expect(stuck.speed).toBe(0);
    expect(stuck.amps).toBeGreaterThan(20);
    expect(stuck.opened).toBe("overload");
    expect(stuck.openedAfter).toBeLessThan(15);
  });

  it("a torn coupling leaves the motor spinning and the output still", () => {
    const shown = run("capacitor-start", ["coupling-torn"]);
    expect(shown.output).toBe(0);
    expect(shown.speed).toBeGreaterThan(180);
  });

  it("leakage lets the residual-current device go, with the machine's own switch open too where a lead leaks", () => {
    expect(run("universal", ["earth-fault"]).opened).toBe("residual");
    expect(run("universal", ["lead-chafed", "switch-open"]).opened).toBe("residual");
  });
});
