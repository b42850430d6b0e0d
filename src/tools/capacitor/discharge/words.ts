import { formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const in_ = (params: Params, key: string, unit: string): string => formatText(Number(params[key] ?? 0), unit);
const volts = (params: Params, key = "volts"): string => in_(params, key, "V");
const seconds = (params: Params): string => in_(params, "seconds", "s");

export const words: WordsOf<typeof tool> = {
  "drain/plan": (p) =>
    Number(p["seconds"]) > 0
      ? `It may stand at ${volts(p)} with ${in_(p, "energy", "J")}: ${seconds(p)} through this resistor`
      : `It may stand at ${volts(p)} with ${in_(p, "energy", "J")} in it`,
  "drain/no-supply": () => "Say the volts of its supply: without them what it may stand at is not known",
  "drain/refer": (p) => `Marked ${volts(p)}, above ${volts(p, "limit")}: do not touch it, pass it on`,
  "drain/refer-lifted": (p) =>
    `On this supply its motor may lift it to ${volts(p)}, above ${volts(p, "limit")}: do not touch it, pass it on`,
  "drain/resistor-volts": (p) => `This resistor does not bear ${volts(p)}: it would flash over`,
  "drain/resistor-power": (p) => `This resistor would burn: it needs ${in_(p, "watts", "W")} at least`,
  "drain/resistor-not-said": (p) =>
    `What this resistor bears is not said: it must bear ${volts(p)} and ${in_(p, "watts", "W")}`,
  "drain/drained": (p) => `Drained: ${volts(p)} after a minute too, under ${volts(p, "safe")}`,
  "drain/crept-back": (p) => `Crept back to ${volts(p)}: drain it again and leave the clip on`,
  "drain/still-charged": (p) => `Still charged: ${volts(p)}, hands off until it is under ${volts(p, "safe")}`,
  "drain/read-again": (p) => `${volts(p)} now: read it again in a minute, charge creeps back`,
  "drain/now-from": (p) => `From what it reads now it takes ${seconds(p)} through this resistor.`,
  "drain/take": (p) =>
    `Take ${in_(p, "ohms", "Ω")} of ${in_(p, "watts", "W")} that bears ${volts(p)} or more: ${seconds(p)}.`,
  "drain/no-common": () =>
    "No common resistor drains this safely: a lamp or a rated bank, by someone who has one.",
  "drain/motor-lifts": () =>
    "A running winding lifts a run capacitor well above the supply: the supply's volts are no guide.",
  "drain/rebound": (p) => `Up to ${volts(p)} may creep back by itself.`,
  "drain/school-default": () =>
    "Resistor until it is low, then an insulated short as the last assurance, then the meter: the fall is seen, and a slipped clip is found out.",
  "drain/school-resistor": () =>
    "Resistor with its clip left on: gentle, and nothing can creep back; the meter proves that the clip holds.",
  "drain/school-short": () =>
    "An insulated short at once: allowed for this little energy; eyes away, then the meter.",
  "drain/short-too-much": (p) =>
    `Not by a short at once: ${in_(p, "energy", "J")} pits its terminals and can burst a weak part. Resistor first.`,
  "drain/check": (p) => `Only the meter proves it: under ${volts(p, "safe")} now, and again after a minute.`,
};
