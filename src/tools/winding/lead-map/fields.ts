import { type LeadPair, leadPairText, parseLeadPair } from "@/core/markings/lead-pair";
import { field, type InputOf } from "@/core/tools/field.input";
import { MOTOR_KINDS } from "@/core/tools/motor-kinds";
import type { Analysis } from "@/core/tools/tool";

export const FIELDS = {
  pairs: field.pairs("resistance", {
    label: "Ohms between the leads",
    place: "main",
    most: 12,
    leads: true,
    ask: "Name the leads, then read one pair after the other.",
  }),
  kind: field.choice(MOTOR_KINDS, { label: "Kind of motor", fill: "motor", preset: "not-known" }),
  openLead: field.choice(
    [
      { value: "common", label: "Common" },
      { value: "run", label: "Run" },
      { value: "start", label: "Start" },
    ],
    { label: "If one lead reads open: which is it, by the plate or a twin", optional: true },
  ),
  warm: field.choice(
    [
      { value: "cold", label: "Cold" },
      { value: "warm", label: "Warm" },
    ],
    { label: "The motor's frame is", preset: "cold" },
  ),
  jumps: field.marking<LeadPair>(parseLeadPair, {
    label: "Pair whose ohms jump as the shaft is turned",
    example: "red-blue",
    understood: (pair) => `${leadPairText({ ...pair, reading: undefined })}: through brushes`,
    optional: true,
  }),
  meter: field.meter("resistance", { label: "Meter" }),
} as const;

export const CODES = [
  "map/two-on-common",
  "map/either-main",
  "map/three-alike",
  "map/three-unlike",
  "map/winding",
  "map/string",
  "map/on-one-lead",
  "map/inside-star",
  "map/branched",
  "map/loop",
  "map/groups",
  "map/dual-voltage",
  "map/brushed",
  "map/tapped-field",
  "map/several",
  "map/nothing-fits",
  "map/misread",
  "map/misread-or-more",
  "map/misread-which",
  "map/cannot-blame",
  "map/impossible",
  "map/open-inside",
  "map/lead-open",
  "map/all-open",
  "map/too-many",
  "map/none-read",
  "map/run-not-proved",
  "map/common-not-proved",
  "map/polarity",
  "map/hidden-star",
  "map/not-zeroed",
  "map/joined",
  "map/wait-cold",
  "map/which-lead",
  "map/probes-first",
  "map/armature",
  "map/sensor",
  "map/ratio",
  "map/thermal",
  "map/alone",
  "map/next-decides",
  "map/next-again",
  "map/next-finer",
  "map/next-apart",
  "map/pairs-left",
] as const;

export type Input = InputOf<typeof FIELDS>;
export type Answer = Analysis<(typeof CODES)[number]>;
export type Said = Answer["reasons"][number];
