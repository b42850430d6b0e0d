import { at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A relay from the side: coil volts and contact amps are printed on it, its pins say how it is fitted and how many poles it has.",
  shapes: [
    box(92, 40, 136, 88),
    path("M108 128 v24 M140 128 v24 M180 128 v24 M212 128 v24", "line"),
    path("M108 62 h70 M108 80 h96", "line"),
  ],
  marks: [
    at("coil", [108, 62], [14, 26]),
    at("amps", [204, 80], [240, 60]),
    at("poles", [212, 148], [240, 130]),
    at("mount", [108, 148], [20, 170]),
  ],
  words: { amps: "Motor amps" },
};
