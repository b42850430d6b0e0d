import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

const kelvins = (params: Said["params"], key: string): string => `${Math.round(Number(params[key] ?? 0))} K`;

export const words: WordsOf<typeof tool> = {
  "rise/within": (p) =>
    `${kelvins(p, "rise")} above the room: within the ${kelvins(p, "limit")} of its class`,
  "rise/above": (p) => `${kelvins(p, "rise")} above the room: too hot for its class, ${kelvins(p, "limit")}`,
  "rise/on-the-edge": (p) =>
    `${kelvins(p, "rise")} above the room: on the edge of its class, ${kelvins(p, "limit")}`,
  "rise/class-not-known": (p) => `${kelvins(p, "rise")} above the room: its class is not known`,
  "rise/read-too-late": (p) => `At least ${kelvins(p, "rise")} above the room: read too late to say more`,
  "rise/not-read": () => "Not all of it was read: no rise can be worked out",
  "rise/not-hotter": () => "No hotter than the room: run it first, or look at the cold reading again",
  "rise/extrapolated": (p) =>
    `Followed back to the moment of switch-off from ${Math.round(Number(p["seconds"] ?? 0))} s after it.`,
  "rise/one-reading": (p) =>
    `One reading, ${Math.round(Number(p["seconds"] ?? 0))} s after switch-off: the winding was hotter than this. Take two or more.`,
  "rise/not-falling": () => "The ohms did not fall after switch-off: the highest reading was taken.",
};
