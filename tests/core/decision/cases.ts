import fc from "fast-check";
import type { Action, ActionKind, Cause, DecisionCase, End, Swap, Way } from "@/core/decision/action";
import { exactly } from "@/core/decision/spread";

/** In minor units: a minute costs this. */
export const MINUTE = 50;

export const actionOf = (
  kind: ActionKind,
  id: string,
  minutes: number,
  cash: number,
  more: Partial<Action> = {},
): Action => ({
  id,
  kind,
  repairs: [id],
  cash: exactly(cash),
  minutes: exactly(minutes),
  days: 0,
  ...more,
});

export const wayOf = (
  kind: ActionKind,
  id: string,
  minutes: number,
  cash: number,
  success: number,
  more: Partial<Action> = {},
): Way => ({ ...actionOf(kind, id, minutes, cash, more), success });

export const causeOf = (id: string, chance: number, ...ways: Way[]): Cause => ({ id, chance, ways });

/** A swap that leaves nothing of the causes it covers. */
export const swapOf = (action: Action, success: number, covers: readonly string[]): Swap => ({
  ...action,
  success,
  leaves: new Map(covers.map((id) => [id, null])),
});

export const endOf = (id: End["id"], cash: number, more: Partial<End> = {}): End => ({
  id,
  cash: exactly(cash),
  minutes: exactly(0),
  days: 0,
  success: 1,
  years: 10,
  ...more,
});

export const caseOf = (
  causes: readonly Cause[],
  swaps: readonly Swap[],
  machineMinor: number,
  more: Partial<DecisionCase> = {},
): DecisionCase => ({
  causes,
  swaps,
  ends: [endOf("replace", machineMinor)],
  minuteMinor: MINUTE,
  dayMinor: 0,
  years: 5,
  interest: 0.03,
  ...more,
});

const KINDS: readonly ActionKind[] = ["easier", "donor", "repair"];

const anyWay = fc.record({
  minutes: fc.nat(60),
  cash: fc.integer({ min: 1, max: 6000 }),
  success: fc.double({ min: 0.2, max: 1, noNaN: true }),
});

/** Small cases: up to five ways over up to four causes, of which one may be two at once, and a motor that covers some. */
export const smallCase: fc.Arbitrary<DecisionCase> = fc
  .record({
    rows: fc.array(
      fc.record({
        weight: fc.integer({ min: 1, max: 100 }),
        ways: fc.array(anyWay, { minLength: 1, maxLength: 2 }),
        isInMotor: fc.boolean(),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    both: fc.option(fc.record({ weight: fc.integer({ min: 1, max: 40 }), way: anyWay })),
    motor: fc.record({
      minutes: fc.integer({ min: 10, max: 90 }),
      cash: fc.integer({ min: 500, max: 15_000 }),
    }),
    motorSuccess: fc.double({ min: 0.6, max: 1, noNaN: true }),
    machine: fc.integer({ min: 500, max: 60_000 }),
    secondHand: fc.option(fc.integer({ min: 300, max: 30_000 })),
    rest: fc.integer({ min: 0, max: 30 }),
  })
  .map(({ rows, both, motor, motorSuccess, machine, secondHand, rest }) => {
    const outside = rows.findIndex(({ isInMotor }) => !isInMotor);
    const inside = rows.findIndex(({ isInMotor }) => isInMotor);
    const joint = both && outside >= 0 && inside >= 0 ? both : null;
    const sum = rows.reduce((all, { weight }) => all + weight, rest + 1 + (joint?.weight ?? 0));
    const causes = rows.map(({ weight, ways }, index) =>
      causeOf(
        `r${index}`,
        weight / sum,
        ...ways.map(({ minutes, cash, success }, at) => {
          const isPart = at === ways.length - 1;
          const kind = isPart ? "repair" : (KINDS[index % 2] ?? "easier");
          return wayOf(kind, isPart ? `r${index}` : `${kind}-r${index}`, minutes, cash, success);
        }),
      ),
    );
    const leaves = new Map<string, { way: Way } | null>(
      rows.flatMap(({ isInMotor }, index) => (isInMotor ? [[`r${index}`, null] as const] : [])),
    );
    if (joint) {
      causes.push(
        causeOf(
          "both",
          joint.weight / sum,
          wayOf("repair", "both", joint.way.minutes, joint.way.cash, joint.way.success),
        ),
      );
      const way = causes[outside]?.ways.at(-1);
      if (way) leaves.set("both", { way });
    }
    const ends = [endOf("replace", machine)];
    if (secondHand !== null) ends.push(endOf("second-hand", secondHand, { success: 0.8, years: 4 }));
    const swap: Swap = {
      ...actionOf("motor", "fit-motor", motor.minutes, motor.cash),
      success: motorSuccess,
      leaves,
    };
    return caseOf(causes, [swap], machine, { ends });
  });
