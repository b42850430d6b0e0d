import { formatChance, formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import { MOTOR_KINDS } from "@/core/tools/motor-kinds";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const kind = (params: Params, key = "kind"): string =>
  MOTOR_KINDS.find(({ value }) => value === params[key])?.label ?? String(params[key]);
const watts = (params: Params): string => formatText(num(params, "watts"), "W");

/** What the leads of a kind mostly are, by how many there are. */
const LEADS: ReadonlyMap<string, string> = new Map([
  [
    "capacitor-start two",
    "Two leads: start and run winding are joined inside, switch and capacitor in between.",
  ],
  ["capacitor-start three", "Three leads: a common, run, and start by way of the capacitor."],
  ["capacitor-start more", "Four leads or more: run and start apart, or halves for two voltages; map them."],
  [
    "split-phase more",
    "Four leads or more: run and start apart; the start pair is swapped for the other direction.",
  ],
  [
    "permanent-split-capacitor three",
    "Three leads: a common and two windings, the capacitor between the other two.",
  ],
  ["permanent-split-capacitor more", "Four leads or more: speeds on the main winding; map them."],
  ["shaded-pole two", "Two leads: one winding, no capacitor, no switch."],
  ["universal two", "Two leads: field and armature in series inside."],
  [
    "universal more",
    "More leads: armature and field apart, a tap of the field, a speed sensor or a thermal device.",
  ],
  ["permanent-magnet-dc two", "Two leads: the brushes; plus and minus turn it round."],
  ["electronically-commutated three", "Three leads: three phases, alike; their order is the direction."],
  [
    "electronically-commutated more",
    "More leads: supply and signal of its own board, or phases and a position sensor.",
  ],
  ["synchronous two", "Two leads: one coil; it may start either way unless a pawl forbids it."],
  ["three-phase three", "Three leads: joined inside in a star or a triangle."],
  ["three-phase more", "Six leads: three windings apart, for star or triangle."],
]);

export const words: WordsOf<typeof tool> = {
  "identity/settled": (p) => `${kind(p)}, ${formatChance(num(p, "chance"))}`,
  "identity/likely": (p) =>
    `Likeliest: ${kind(p)}, ${formatChance(num(p, "chance"))}; then ${kind(p, "second")}, ${formatChance(num(p, "other"))}`,
  "identity/nothing": () => "Nothing was said that tells a kind",
  "identity/odd": () =>
    "These clues hardly go together: look at the oddest of them again before it is settled",
  "identity/poles": (p) =>
    `${num(p, "poles")} poles: ${Math.round(num(p, "speed"))} under ${Math.round(num(p, "synchronous"))} r/min, slip ${formatPercent(num(p, "slip"))}`,
  "identity/high-slip": (p) =>
    `${num(p, "poles")} poles, slip ${formatPercent(num(p, "slip"))}: a high-slip motor, usual on fans and no fault`,
  "identity/above": (p) =>
    `${Math.round(num(p, "speed"))} r/min is above ${60 * num(p, "hertz")}: no induction motor`,
  "identity/exact": (p) =>
    `${Math.round(num(p, "speed"))} r/min is a synchronous speed, ${num(p, "poles")} poles: no slip`,
  "identity/no-poles": (p) =>
    `${Math.round(num(p, "speed"))} r/min fits no number of poles: geared, or the speed of the machine`,
  "identity/turns": (p) =>
    `Turns ${String(p["way"])}, seen on the shaft's end: from the bare to the ringed part of the pole`,
  "identity/reverse-start": () => "Other direction: swap the two ends of the start winding, never of both.",
  "identity/reverse-run-capacitor": () =>
    "Other direction: equal windings, feed the other end of the capacitor; unequal, swap the start winding's ends.",
  "identity/reverse-shaded": () =>
    "Other direction: only by turning the stator round in its shields, where they are alike.",
  "identity/reverse-brushed": () =>
    "Other direction: swap armature or field, never both; brushes are set for one way.",
  "identity/reverse-magnet": () => "Other direction: swap its two leads.",
  "identity/reverse-board": () =>
    "Other direction: by its board; swapping two phases alone confuses its position sensors.",
  "identity/reverse-synchronous": () =>
    "Other direction: two coils, feed the other end of the capacitor; one coil, its pawl decides.",
  "identity/reverse-three": () => "Other direction: swap any two of the three.",
  "identity/two-voltages": (p) =>
    `${num(p, "low")} or ${num(p, "high")} V: two halves side by side for the lower, one after the other for the higher, polarity proved first`,
  "identity/other-hertz": (p) =>
    `Made for ${num(p, "plate")} Hz, here ${num(p, "mains")} Hz: an induction motor turns at ${formatPercent(num(p, "speed"))} of its speed with ${formatPercent(num(p, "flux"))} of its flux at the same volts`,
  "identity/watts-input": (p) => `${watts(p)} is what it takes in`,
  "identity/watts-output": (p) => `${watts(p)} is what its shaft gives`,
  "identity/watts-either": (p) => `${watts(p)} may be taken in or given: the plate does not say`,
  "identity/watts-peak": (p) => `${watts(p)} is a peak for selling: not what it does for long`,
  "identity/watts-wrong": (p) =>
    `${watts(p)} is more than ${formatText(num(p, "taken"), "W")} of volts times amps: the plate is misread`,
  "identity/leads": (p) =>
    LEADS.get(`${String(p["kind"])} ${String(p["leads"])}`) ?? "Map its leads to see which is which.",
};
