import { across, aslant, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A motor from the side: shaft and its reach measured, mounting and vents looked at, volts, hertz and watts read on its plate.",
  shapes: [
    path("M70 44 h130 q12 0 12 12 v68 q0 12 -12 12 h-130 q-12 0 -12 -12 v-68 q0 -12 12 -12 z"),
    box(212, 82, 60, 16, "dark"),
    path("M80 136 l-14 20 h140 l-14 -20", "line"),
    box(104, 70, 60, 34, "hole"),
    path("M284 72 a22 22 0 0 1 0 36 l2 -10 m-2 10 l10 -2", "line"),
  ],
  marks: [
    across("reach", 110, 212, 272),
    aslant("shaft", [240, 82], [240, 98], [222, 48]),
    at("rotation", [292, 82], [276, 18]),
    at("mount", [90, 152], [20, 176]),
    at("watts", [134, 72], [112, 20]),
    at("enclosure", [62, 60], [14, 24]),
  ],
  words: { reach: "Reach", watts: "Watts", rotation: "Turns" },
};
