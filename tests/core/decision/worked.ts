import type { DecisionCase } from "@/core/decision/action";
import type { Around } from "@/core/decision/decide";
import type { RouteNames } from "@/words/routes";
import { actionOf, caseOf, causeOf, endOf, swapOf, wayOf } from "./cases";

/** A decision with its own numbers: an hour at 30.00, so a minute at 0.50, where nothing else is said. Minor units. */
export interface Worked {
  readonly name: string;
  readonly given: DecisionCase;
  readonly around?: Around;
  readonly isUnsafe?: boolean;
  readonly currency?: string;
  /** The best by hand: its route, and what it costs. */
  readonly best: readonly [string, number];
  readonly says: string;
  /** What the owner's ceiling leaves: the steps, or nothing. */
  readonly ceiling?: string | null;
}

const label = (id: string, text: string, easier?: string) => ({
  id,
  label: text,
  ...(easier ? { easier: { label: easier } } : {}),
});

/** Words of these cases. */
export const NAMES = {
  repairs: [
    label("mend-lead", "Mend the lead"),
    label("fit-capacitor", "Fit a run capacitor"),
    label("fit-start", "Fit a start capacitor"),
    label("fit-bearings", "Fit a bearing pair"),
    label("fit-winding", "Wind it anew"),
    label("fit-brushes", "Fit a brush pair"),
    label("fit-switch", "Fit a switch", "Clean the switch contacts"),
    label("fit-board", "Fit a board"),
    label("fit-gears", "Fit gears"),
    label("other-seal", "Fit the seal of another make"),
    label("right-seal", "Fit the right seal"),
    label("fit-pedal", "Fit a pedal"),
  ],
  archetypes: [{ assembly: { id: "gear-motor", label: "Gear motor, complete" } }],
  moves: [{ id: "turn-shaft", title: "Turn the shaft by hand" }],
} as unknown as RouteNames;

const motor = (minutes: number, cash: number, covers: readonly string[], success = 0.98) =>
  swapOf(actionOf("motor", "fit-motor", minutes, cash), success, covers);
const assembly = (minutes: number, cash: number, covers: readonly string[]) =>
  swapOf(actionOf("assembly", "assembly:gear-motor", minutes, cash), 0.98, covers);
const one = (id: string, chance: number, minutes: number, cash: number, success = 1) =>
  causeOf(id, chance, wayOf("repair", id, minutes, cash, success));

const LEAD = one("mend-lead", 0.25, 12, 500, 0.96);
const WINDING = one("fit-winding", 0.7, 240, 15_000);
const CAPACITOR = one("fit-capacitor", 0.9, 12, 1400);
const SEALS = causeOf(
  "right-seal",
  0.9,
  wayOf("repair", "other-seal", 35, 700, 0.8),
  wayOf("repair", "right-seal", 35, 700, 1, { days: 2 }),
);
const BOARD = causeOf(
  "fit-board",
  0.9,
  wayOf("donor", "donor:fit-board", 25, 1000, 0.76, { repairs: ["fit-board"] }),
  wayOf("repair", "fit-board", 25, 4500, 0.95),
);
/** Both capacitors at once: one test, one postage of 4.50 saved, and what the other would have cost in its turn. */
const both = (fails: number) =>
  swapOf(
    actionOf("pair", "fit-capacitor+fit-start", 16, 1400 + 1100 - 450, {
      repairs: ["fit-capacitor", "fit-start"],
      later: -fails * (1100 + 30 * 50),
    }),
    1,
    ["fit-capacitor"],
  );
const HARD_PLACE = [
  [one("fit-winding", 0.95, 240, 15_000)],
  [motor(150, 6000, ["fit-winding"]), assembly(25, 11_000, ["fit-winding"])],
  60_000,
] as const;
const SHOP = [endOf("replace", 30_000), endOf("trade", 6000, { success: 0.9 })];
const held = (dayMinor: number): Pick<Worked, "given" | "around"> => ({
  given: caseOf([one("fit-capacitor", 0.95, 12, 1400 + 650)], [], 20_000, { dayMinor }),
  around: {
    hold: { days: 7, options: caseOf([one("fit-capacitor", 0.95, 12, 1400)], [], 20_000, { dayMinor }) },
  },
});

export const WORKED: readonly Worked[] = [
  {
    name: "lead or winding: what is cheap is mended before a motor is bought",
    given: caseOf([LEAD, WINDING], [motor(60, 9000, ["fit-winding"])], 24_000),
    best: ["then-motor", 1100 + 0.76 * 12_000 + (1 - 0.24 - 0.7 * 0.98) * 24_000],
    says: "Mend the lead first, then fit another motor: €119.96 on average against €141.",
  },
  {
    name: "a capacitor read weak: the part, not the motor, not the machine",
    given: caseOf([CAPACITOR], [motor(60, 9000, [])], 42_000),
    best: ["part", 2000 + 0.1 * 42_000],
    says: "Fit a run capacitor: €62.00 on average against €420.00 for another machine, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "a motor for a machine that costs less than the motor",
    given: caseOf([WINDING], [motor(60, 9000, ["fit-winding"])], 6000),
    best: ["replace", 6000],
    says: "Another machine: €60.00, against €138.84 for another motor. No repair is worth its chance.",
  },
  {
    name: "the same where nobody said what it is worth: going without is no argument, the repair is",
    given: caseOf([WINDING], [motor(60, 9000, ["fit-winding"])], 6000, {
      ends: [endOf("replace", 6000), endOf("stop", 6000, { years: 0, likeMachine: true })],
    }),
    best: ["replace", 6000],
    says: "Another machine: €60.00, against €138.84 for another motor. No repair is worth its chance.",
  },
  {
    name: "a motor burnt out in a dear machine: the motor",
    given: caseOf([WINDING], [motor(60, 9000, ["fit-winding"], 1)], 60_000),
    best: ["motor", 12_000 + 0.3 * 60_000],
    says: "Fit another motor: €300.00 on average against €450.00 for repair, about 70 % that this alone ends it, and about 30 % that none of it helps.",
  },
  {
    name: "an assembly in a hard place against the motor alone: hours on a ladder are dearer",
    given: caseOf(...HARD_PLACE),
    best: ["assembly", 12_250 + (1 - 0.95 * 0.98) * 60_000],
    says: "Fit the assembly: gear motor, complete: €163.90 on average against €176.40 for another motor, about 95 % that this alone ends it.",
  },
  {
    name: "the same by one whose hours cost nothing: the motor",
    given: caseOf(...HARD_PLACE, { minuteMinor: 0 }),
    best: ["motor", 6000 + (1 - 0.95 * 0.98) * 60_000],
    says: "Fit another motor: €101.40 on average against €151.40 for the assembly, about 95 % that this alone ends it.",
  },
  {
    name: "a motor or its gears: the assembly cures either at once",
    given: caseOf(
      [one("fit-winding", 0.5, 240, 15_000), one("fit-gears", 0.48, 120, 5000)],
      [motor(60, 9000, ["fit-winding"]), assembly(30, 9500, ["fit-winding", "fit-gears"])],
      40_000,
    ),
    best: ["assembly", 11_000 + (1 - 0.98 * 0.98) * 40_000],
    says: "Fit the assembly: gear motor, complete: €125.84 on average against €",
  },
  {
    name: "own try against a shop's fee: a likely and cheap try first",
    given: caseOf([one("fit-brushes", 0.5, 12, 500)], [], 30_000, { ends: SHOP }),
    best: ["part", 1100 + 0.5 * (6000 + 0.1 * 30_000)],
    says: "Fit a brush pair: €56.00 on average against €90.00 for another shop, about 50 % that this alone ends it, and about 50 % that none of it helps.",
  },
  {
    name: "own try against a shop's fee: a dear and unlikely try is left to them",
    given: caseOf([one("fit-board", 0.2, 25, 4500)], [], 30_000, { ends: SHOP }),
    best: ["trade", 6000 + 0.1 * 30_000],
    says: "Another shop or a licensed trade: €90.00, against €300.00 for another machine. Nothing done here costs less.",
  },
  {
    name: "both capacitors: the other is as old, and one postage pays for both",
    given: caseOf([CAPACITOR], [both(0.5)], 20_000),
    best: ["pair", 2850 + 0.1 * 20_000 - 0.9 * 0.5 * 2600],
    says: "Fit a run capacitor and fit a start capacitor: €36.80 on average against €40.00 for repair, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "one capacitor: the other will do for years",
    given: caseOf([CAPACITOR], [both(0.05)], 20_000),
    best: ["part", 2000 + 0.1 * 20_000],
    says: "Fit a run capacitor: €40.00 on average against €47.33 for both parts at once, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "the other seal today: two days without the machine are dear",
    given: caseOf([SEALS], [], 20_000, { dayMinor: 1500 }),
    best: ["part", 2450 + 0.28 * (2450 + 3000) + 0.1 * 20_000],
    says: "Fit the seal of another make: €59.76 on average against €200.00 for another machine, about 70 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "the right seal in two days: nobody is waiting for it",
    given: caseOf([SEALS], [], 20_000, { dayMinor: 100 }),
    best: ["part", 2450 + 200 + 0.1 * 20_000],
    says: "Fit the right seal: €46.50 on average against €200.00 for another machine, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "several spares for one postage: held for the next order where a day costs little",
    ...held(50),
    best: ["hold", 2000 + 0.05 * 20_000 + 7 * 50],
    says: "Hold it 7 days for the next order, then fit a run capacitor: €33.50 on average against €36.50 for repair, about 95 % that this alone ends it.",
  },
  {
    name: "a machine that earns its keep is not held for a postage",
    ...held(400),
    best: ["part", 2650 + 0.05 * 20_000],
    says: "Fit a run capacitor: €36.50 on average against €58.00 for holding it for the next order, about 95 % that this alone ends it.",
  },
  {
    name: "a donor's board first, the new one if that fails",
    given: caseOf([BOARD], [], 30_000),
    best: ["donor", 2250 + (1 - 0.684) * 5750 + (1 - 0.684 - 0.216 * 0.95) * 30_000],
    says: "Fit a board, out of a donor first, then fit a board: €73.",
  },
  {
    name: "a new pedal, since the donor's takes too long to get out",
    given: caseOf(
      [
        causeOf(
          "fit-pedal",
          0.95,
          wayOf("donor", "donor:fit-pedal", 60, 300, 0.7, { repairs: ["fit-pedal"] }),
          wayOf("repair", "fit-pedal", 20, 1000, 1),
        ),
      ],
      [],
      20_000,
    ),
    best: ["part", 2000 + 0.05 * 20_000],
    says: "Fit a pedal: €30.00 on average against €",
  },
  {
    name: "scrap value: what the old one brings tips it to another machine",
    given: caseOf([one("fit-gears", 0.9, 60, 6000)], [], 12_000, { ends: [endOf("replace", 12_000 - 3500)] }),
    best: ["replace", 8500],
    says: "Another machine: €85.00. No repair is worth its chance.",
  },
  {
    name: "without scrap value the same gears are fitted",
    given: caseOf([one("fit-gears", 0.9, 60, 6000)], [], 12_000),
    best: ["part", 9000 + 0.1 * 12_000],
    says: "Fit gears: €102.00 on average against €120.00 for another machine, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "an owner's ceiling below everything: nothing is begun before they are asked",
    given: caseOf([CAPACITOR], [], 20_000),
    around: { ceiling: { minor: 1000, minuteMinor: 50 } },
    best: ["part", 4000],
    says: "Fit a run capacitor: €40.00 on average against €200.00 for another machine",
    ceiling: null,
  },
  {
    name: "an owner's ceiling pays for the lead, not for the motor after it",
    given: caseOf([LEAD, WINDING], [motor(60, 9000, ["fit-winding"])], 24_000),
    around: { ceiling: { minor: 3000, minuteMinor: 50 } },
    best: ["then-motor", 1100 + 0.76 * 12_000 + (1 - 0.24 - 0.7 * 0.98) * 24_000],
    says: "Mend the lead first, then fit another motor: €119.96",
    ceiling: "mend-lead",
  },
  {
    name: "unsafe and not worth it: stopped, and marked",
    given: caseOf([WINDING], [motor(60, 9000, ["fit-winding"])], 20_000, {
      ends: [endOf("replace", 20_000), endOf("stop", 3000, { years: 0 })],
    }),
    isUnsafe: true,
    best: ["stop", 3000],
    says: "Stop and hand it back unrepaired, marked “do not use”: €30.00, against €129.42 for another motor. No repair is worth its chance.",
  },
  {
    name: "a machine worth nothing to its owner: stopped at no cost",
    given: caseOf([CAPACITOR], [], 20_000, {
      ends: [endOf("replace", 20_000), endOf("stop", 0, { years: 0 })],
    }),
    best: ["stop", 0],
    says: "Stop and hand it back unrepaired: €0.00, against €200.00 for another machine. No repair is worth its chance.",
  },
  {
    name: "a second-hand one is offered for little",
    given: caseOf([WINDING], [motor(60, 9000, ["fit-winding"])], 20_000, {
      ends: [endOf("replace", 20_000), endOf("second-hand", 5000, { success: 0.85, years: 4 })],
    }),
    best: ["second-hand", 5000 + 0.15 * 20_000],
    says: "A second-hand machine: €80.00, against €145.12 for another motor. No repair is worth its chance.",
  },
  {
    name: "a look of five minutes that tells the bearing from the winding",
    given: caseOf(
      [one("fit-bearings", 0.5, 60, 2000), one("fit-winding", 0.5, 240, 15_000)],
      [motor(60, 9000, ["fit-winding"], 1)],
      40_000,
    ),
    around: {
      look: {
        moveId: "turn-shaft",
        costMinor: 250,
        answers: [
          { chance: 0.5, options: caseOf([one("fit-bearings", 1, 60, 2000)], [], 40_000) },
          {
            chance: 0.5,
            options: caseOf(
              [one("fit-winding", 1, 240, 15_000)],
              [motor(60, 9000, ["fit-winding"], 1)],
              40_000,
            ),
          },
        ],
      },
    },
    best: ["measure", 250 + 0.5 * 5000 + 0.5 * 12_000],
    says: "Measure first: turn the shaft by hand: €87.50 on average against €110.00 for repairs and then another motor without it: looking is worth €22.50.",
  },
  {
    name: "a look that costs as much as the part is left alone",
    given: caseOf([CAPACITOR], [], 5000),
    around: {
      look: {
        moveId: "turn-shaft",
        costMinor: 1500,
        answers: [
          { chance: 0.9, options: caseOf([one("fit-capacitor", 1, 12, 1400)], [], 5000) },
          { chance: 0.1, options: caseOf([], [], 5000) },
        ],
      },
    },
    best: ["part", 2000 + 0.1 * 5000],
    says: "Fit a run capacitor: €25.00 on average against €38.00 for one more measurement first, about 90 % that this alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "contacts that clean up more often than not are cleaned before a switch is bought",
    given: caseOf(
      [
        causeOf(
          "fit-switch",
          0.9,
          wayOf("easier", "easier:fit-switch", 10, 0, 0.6, { repairs: ["fit-switch"] }),
          wayOf("repair", "fit-switch", 18, 2500, 1),
        ),
      ],
      [],
      20_000,
    ),
    best: ["clean", 500 + 0.46 * 3400 + 0.1 * 20_000],
    says: "Clean the switch contacts first, then fit a switch: €40.64 on average against €54.00 for repair, about 55 % that the first alone ends it, and about 10 % that none of it helps.",
  },
  {
    name: "a switch at once where cleaning seldom helps",
    given: caseOf(
      [
        causeOf(
          "fit-switch",
          0.9,
          wayOf("easier", "easier:fit-switch", 30, 0, 0.1, { repairs: ["fit-switch"] }),
          wayOf("repair", "fit-switch", 18, 900, 1),
        ),
      ],
      [],
      20_000,
    ),
    best: ["part", 1800 + 0.1 * 20_000],
    says: "Fit a switch: €38.00 on average against €200.00 for another machine",
  },
  {
    name: "what cannot be found any more is given back with a day",
    given: caseOf(
      [causeOf("", 0.8, wayOf("repair", "", 40, 0, 1, { repairs: [] })), one("fit-switch", 0.2, 18, 2500)],
      [swapOf(actionOf("retest", "retest", 20, 0, { repairs: [] }), 1, [""])],
      20_000,
    ),
    best: ["retest", 1000 + 0.2 * 3400],
    says: "Give it back and look again on a day: €16.80 on average against €26.80 for repair, about 80 % that this alone ends it.",
  },
  {
    name: "two things at once: what was mended before the motor need not be mended after it",
    given: caseOf(
      [LEAD, one("fit-winding", 0.4, 240, 15_000), one("mend-lead+fit-winding", 0.3, 260, 15_500)],
      [
        {
          ...motor(60, 9000, ["fit-winding"]),
          leaves: new Map([
            ["fit-winding", null],
            ["mend-lead+fit-winding", { way: wayOf("repair", "mend-lead", 12, 500, 0.96) }],
          ]),
        },
      ],
      24_000,
    ),
    best: ["then-motor", 1100 + 0.76 * 12_000 + (0.76 - 0.98 * (0.4 + 0.3 * 0.96)) * 24_000],
    says: "Mend the lead first, then fit another motor: €122.",
  },
  {
    name: "the same part in another currency, without smaller coins",
    given: caseOf([CAPACITOR], [motor(60, 9000, [])], 42_000),
    currency: "JPY",
    best: ["part", 2000 + 0.1 * 42_000],
    says: "Fit a run capacitor: ¥6200 on average against ¥42000 for another machine",
  },
];
