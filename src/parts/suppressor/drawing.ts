import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A suppressor on its two legs: class and value are printed on it, the pitch is measured from leg to leg.",
  shapes: [
    box(98, 44, 124, 76),
    path("M116 120 v34 M204 120 v34", "line"),
    path("M112 66 h44 M112 84 h70", "line"),
  ],
  marks: [
    at("class", [112, 66], [14, 30]),
    at("capacitance", [112, 84], [14, 110]),
    across("pitch", 162, 116, 204),
    at("volts", [182, 84], [236, 70]),
  ],
  words: { pitch: "Pitch" },
};
