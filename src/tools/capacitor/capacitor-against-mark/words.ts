import { formatPercent, formatQuantity, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const farads = (params: Params, key: string): string => formatText(num(params, key), "F");
const bandOf = (params: Params): string => {
  const [min, max] = [formatQuantity(num(params, "min"), "F"), formatQuantity(num(params, "max"), "F")];
  return min.unit === max.unit
    ? `${min.number} to ${max.number} ${max.unit}`
    : `${farads(params, "min")} to ${farads(params, "max")}`;
};

export const words: WordsOf<typeof tool> = {
  "capacitor/shorted": (p) =>
    `Shorted: ${formatText(num(p, "resistance"), "Ω")} direct, under ${formatText(num(p, "limit"), "Ω")}`,
  "capacitor/open": (p) => `Open: only ${formatPercent(num(p, "shareOfMinimum"))} of its lower mark`,
  "capacitor/below-mark": (p) =>
    `${formatPercent(1 - num(p, "shareOfMinimum"))} under its mark, ${bandOf(p)}`,
  "capacitor/on-the-edge": (p) => `On the ${p["side"]} edge of its mark, within the meter's error`,
  "capacitor/inside-mark": (p) => `Inside its mark, ${bandOf(p)}`,
  "capacitor/above-mark": (p) => `${formatPercent(num(p, "over"))} over its mark of ${farads(p, "max")}`,
  "capacitor/a-little-above": (p) =>
    `${formatPercent(num(p, "over"))} over its upper mark: still good for starting`,
  "capacitor/needs-tolerance": () =>
    "Its tolerance is not marked: cannot tell. Its maker’s sheet or a sound twin decides",
  "capacitor/lift-the-resistor": () => "Lift the resistor and read again",
  "capacitor/film-leaks": (p) =>
    `${formatText(Number(p["resistance"] ?? 0), "Ω")} of direct current path: film shows none under ${formatText(Number(p["limit"] ?? 0), "Ω")}. It leaks`,
  "capacitor/low-and-cold": (p) =>
    `Low, and cold at ${formatText(Number(p["at"] ?? 0), "K")}: a cold one reads low by itself. Warm it to the room and read again`,
  "capacitor/under-range": () => "Next to nothing there: open, or a lead off",
  "capacitor/over-range": () => "Over range: a higher range, or DC resistance, will tell",
  "capacitor/not-taken": () => "Not measured: says nothing",
  "capacitor/tolerance-assumed": (p) => `No tolerance on the mark: held against ${bandOf(p)}.`,
  "capacitor/role-not-known": () => "Start or run is not known: see where its wire goes.",
  "capacitor/role-overruled": (p) => `The marking looks like a ${p["marked"]} part; you say ${p["given"]}.`,
  "capacitor/temperature-not-known": () => "Temperature not noted: a cold part reads lower.",
  "capacitor/sections": () =>
    "Each section is read by itself, to the common terminal. One that is not used is no spare: it is another value.",
  "capacitor/no-such-section": () => "The marking names no such section",
  "capacitor/suppressor": (p) =>
    `${p["class"]} is a part against noise: replaced by the same class or higher, never by a motor capacitor.`,
  "capacitor/series-resistance": (p) =>
    `It loses too much: dissipation ${formatPercent(num(p, "dissipation"))}, ${formatPercent(num(p, "limit"))} at the most. It gets hot and is weak under load`,
  "capacitor/series-fine": (p) =>
    `Its loss is as it should be: dissipation ${formatPercent(num(p, "dissipation"))}.`,
  "capacitor/finer-meter": (p) =>
    `This meter is sure to ±${farads(p, "has")} here; one within ±${farads(p, "error")} would decide: a lower range, or a better meter.`,
  "capacitor/effect-start": (p) =>
    `A motor of the kind starts with ${formatPercent(num(p, "startTorque"))} of its pull on this much (simulated).`,
  "capacitor/effect-run": (p) =>
    `A motor of the kind starts with ${formatPercent(num(p, "startTorque"))} and runs with ${formatPercent(num(p, "loadedTorque"))} of its pull on this much (simulated).`,
  "capacitor/cold": (p) =>
    `At ${formatText(num(p, "at"), "K")} an electrolytic part reads low by itself: warm it to the room and read again.`,
  "capacitor/resistor-across": () => "A resistor across can only raise the reading.",
  "capacitor/resistor-misleads": (p) =>
    `The resistor across may raise the reading (series mode: by ${formatPercent(num(p, "raisedBy"))}).`,
  "capacitor/resistor-small": () => "The resistor across hardly moves this meter.",
};
