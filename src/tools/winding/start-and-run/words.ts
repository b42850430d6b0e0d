import { formatText } from "@/core/quantity/format";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

const ohms = (value: unknown): string => formatText(Number(value ?? 0), "Ω");

export const words: WordsOf<typeof tool> = {
  "apart/start-and-run": (p) => `Start winding ${ohms(p["start"])}, run winding ${ohms(p["run"])}`,
  "apart/not-seen": () =>
    "Nothing opens when the actuator is held: start switch, its lead or the start winding is open already",
  "apart/perhaps": () =>
    "The two readings differ by no more than the meter's error: read them on a finer range",
  "apart/capacitor-in": () =>
    "Cannot tell: a capacitor lets no direct current through. Drain it, take it off and link its two wires",
  "apart/cannot-rise": () =>
    "At rest it cannot read more than with the switch open: a second winding only lowers it. Read both again",
  "apart/run-open": () =>
    "Run winding open: only the start winding is left, and it goes when the switch opens",
  "apart/both-open": () =>
    "Both open: the common lead, a protector in it, or the probes. Touch the probes together first",
  "apart/both-open-warm": () =>
    "Both open: a protector in the common lead opens when it is warm. Wait until the frame is cold, say so, and read again",
  "apart/rest-open": () =>
    "Open at rest, a reading with the switch open: the wrong way round, or a probe that slips",
  "apart/nothing": () => "Next to nothing at rest: shorted, or the probes touch each other",
  "apart/not-taken": () => "One of the two was not taken: says nothing",
  "apart/start-lower": () =>
    "The start winding comes out lower than the run winding: unusual. See which lead goes to the switch.",
  "apart/wide": (p) =>
    `The meter leaves the start winding open between ${ohms(p["lower"])} and ${ohms(p["upper"])}.`,
};
