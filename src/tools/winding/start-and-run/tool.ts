import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { Reading } from "@/core/quantity/reading";
import { field, type InputOf } from "@/core/tools/field.input";
import { errorOn } from "@/core/tools/meter-error";
import { type Analysis, defineTool } from "@/core/tools/tool";

const FIELDS = {
  branch: field.choice(
    [
      { value: "none", label: "No capacitor in it" },
      { value: "linked", label: "Capacitor off, its wires linked" },
      { value: "fitted", label: "Capacitor still in it" },
    ],
    {
      label: "The start winding's branch",
      place: "main",
      ask: "First: is there a capacitor in the start winding's branch, and is it linked out?",
    },
  ),
  rest: field.reading("resistance", {
    label: "At rest, switch closed",
    place: "main",
    leads: true,
    ask: "Read the two line leads with the switch at rest.",
  }),
  held: field.reading("resistance", {
    label: "Actuator held, switch open",
    place: "main",
    leads: true,
    ask: "Hold the actuator as its weights would, and read the same two leads.",
  }),
  frame: field.choice(
    [
      { value: "cold", label: "Cold" },
      { value: "warm", label: "Warm" },
    ],
    { label: "Frame of the motor", optional: true },
  ),
  meter: field.meter("resistance", { label: "Meter" }),
} as const;

const CODES = [
  "apart/start-and-run",
  "apart/not-seen",
  "apart/perhaps",
  "apart/capacitor-in",
  "apart/cannot-rise",
  "apart/run-open",
  "apart/both-open",
  "apart/both-open-warm",
  "apart/rest-open",
  "apart/nothing",
  "apart/not-taken",
  "apart/start-lower",
  "apart/wide",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];
type Figure = Answer["figures"][number];

function answer(
  verdict: Answer["verdict"],
  code: Said["code"],
  figures: readonly Figure[] = [],
  cautions: readonly Said[] = [],
): Answer {
  return {
    verdict,
    figures,
    reasons: [{ code, params: {} }],
    cautions,
    sources: ["physics", "gum"],
    evidence: [],
  };
}

/**
 * Ohms of the start winding from both windings side by side and the run winding alone: Rs = Rp·Rr/(Rr − Rp). Ohms.
 * Source: physics.
 * @example startBeside(3, 4) // 12
 */
export function startBeside(parallel: number, run: number): number {
  return (parallel * run) / (run - parallel);
}

const figure = (id: string, label: string, value: number, lower: number, upper: number): Figure => ({
  id,
  label,
  value,
  unit: "Ω",
  lower: Math.max(0, lower),
  upper,
});

/** One of the two is over range: what that leaves. */
function open({ rest, held, frame }: Input): Answer | undefined {
  const [isRestOpen, isHeldOpen] = [rest, held].map((one: Reading) => one.kind === "over-range");
  if (isRestOpen && isHeldOpen)
    return frame === "cold"
      ? answer("faulty", "apart/both-open")
      : answer("undecided", "apart/both-open-warm");
  if (isHeldOpen && rest.kind === "value")
    return answer("faulty", "apart/run-open", [
      figure("start", "start winding", rest.value, rest.value, rest.value),
    ]);
  return isRestOpen ? answer("undecided", "apart/rest-open") : undefined;
}

function analyse(input: Input, limits: Limits): Answer {
  const { branch, rest, held, meter } = input;
  if (branch === "fitted") return answer("undecided", "apart/capacitor-in");
  const opened = open(input);
  if (opened) return opened;
  if (rest.kind !== "value" || held.kind !== "value") return answer("undecided", "apart/not-taken");
  const [parallel, run] = [rest.value, held.value];
  const [off, offRun] = [errorOn(meter, parallel), errorOn(meter, run)];
  if (parallel <= off) return answer("suspect", "apart/nothing");
  if (parallel - off > run + offRun) return answer("undecided", "apart/cannot-rise");
  const runFigure = figure("run", "run winding", run, run - offRun, run + offRun);
  if (run - parallel <= 0) return answer("suspect", "apart/not-seen", [runFigure]);
  const start = startBeside(parallel, run);
  if (run - parallel <= off + offRun)
    return answer("undecided", "apart/perhaps", [
      runFigure,
      figure("start", "start winding, at the least", start, 0, Number.MAX_VALUE),
    ]);
  const lower = startBeside(parallel - off, run + offRun);
  const upper = startBeside(parallel + off, run - offRun);
  const isWide = upper / lower > 1 + limitOf(limits, "start-ohms-spread").value;
  const cautions: Said[] = [
    ...(start < run ? [{ code: "apart/start-lower" as const, params: {} }] : []),
    ...(isWide ? [{ code: "apart/wide" as const, params: { lower, upper } }] : []),
  ];
  return {
    ...answer(
      "sound",
      "apart/start-and-run",
      [figure("start", "start winding", start, lower, upper), runFigure],
      cautions,
    ),
    reasons: [{ code: "apart/start-and-run", params: { start, run } }],
  };
}

/**
 * Start and run winding told apart without opening the motor, by working the start switch.
 *
 * At rest both windings lie side by side, with the actuator held the run winding is alone: Rs = Rp·Rr/(Rr − Rp), with the
 * limits that the meter leaves. A capacitor in the branch lets no direct current through: then the reading at rest is
 * the run winding already, and the sum is refused until its wires are linked. A winding that is added can only lower what
 * is read; both open with the frame cold, or one of them, says which is broken. Test leads are taken off. Ohms.
 * @example at rest 3.0 Ω, held 4.0 Ω → start 12 Ω, run 4.0 Ω
 */
export const tool = defineTool({
  id: "start-and-run",
  version: 2,
  topic: "winding",
  title: "Start and run winding by the switch",
  about: "at rest 3.0 Ω, actuator held 4.0 Ω · start 12 Ω",
  how: "Plug out, drained. On the two line leads: once at rest, once with the centrifugal switch's actuator held as its weights would.",
  waiting: "Start and run come here with the second reading.",
  judges: [],
  stations: ["windings"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: ["start-ohms-spread"],
  next: { faulty: "isolate", suspect: "isolate", sound: "isolate", undecided: "measure" },
  alsoByHand: true,
  fields: FIELDS,
  codes: CODES,
  example: {
    branch: "none",
    rest: "3.0",
    held: "4.0",
    meter: { percent: 0.8, counts: 1, resolution: "0.1" },
  },
  analyse,
});
