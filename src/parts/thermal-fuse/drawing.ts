import { at, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A thermal fuse with its two leads: the degrees and the amps are printed on its case.",
  shapes: [
    path("M112 78 h88 q14 0 14 20 q0 20 -14 20 h-88 q-10 0 -10 -20 q0 -20 10 -20 z"),
    path("M24 98 H102 M214 98 H296", "line"),
  ],
  marks: [
    at("opens", [140, 86], [140, 36], "middle"),
    at("amps", [182, 86], [214, 46]),
    at("case", [160, 116], [160, 152], "middle"),
  ],
};
