import { at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A start capacitor: its range and volts are printed on it, and a resistor may lie across its tabs.",
  shapes: [
    path("M104 58 q0 -8 8 -8 h96 q8 0 8 8 v92 q0 8 -8 8 h-96 q-8 0 -8 -8 z", "dark"),
    box(132, 32, 10, 18),
    box(178, 32, 10, 18),
    path("M142 38 h6 l4 -5 l6 10 l6 -10 l6 10 l4 -5 h4", "line"),
  ],
  marks: [
    at("capacitance", [112, 92], [10, 58]),
    at("volts", [112, 116], [14, 136]),
    at("resistor", [158, 36], [14, 12]),
    at("terminals", [188, 40], [216, 30]),
  ],
};
