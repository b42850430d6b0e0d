import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A run capacitor: microfarads, volts and classes are printed on the can, the can's diameter is measured at the rim.",
  shapes: [
    path("M110 48 q0 -8 8 -8 h84 q8 0 8 8 v100 q0 8 -8 8 h-84 q-8 0 -8 -8 z"),
    box(134, 22, 10, 18, "dark"),
    box(176, 22, 10, 18, "dark"),
    path("M126 74 h60 M126 92 h48 M126 110 h54", "line"),
  ],
  marks: [
    at("capacitance", [126, 74], [10, 34]),
    at("volts", [126, 92], [14, 104]),
    across("diameter", 164, 110, 210),
    at("terminals", [186, 28], [214, 26]),
    at("life", [174, 92], [226, 86]),
    at("protection", [180, 110], [226, 134]),
  ],
};
