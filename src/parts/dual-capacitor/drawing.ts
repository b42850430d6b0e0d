import { at, box, type Drawing, disc } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "Two capacitors in one can, seen on its top: each section has its own tabs beside the common ones, and its own microfarads.",
  shapes: [
    disc(160, 104, 66),
    box(120, 88, 20, 10, "dark"),
    box(180, 88, 20, 10, "dark"),
    box(150, 134, 20, 10, "dark"),
  ],
  marks: [
    at("larger", [122, 92], [10, 40]),
    at("smaller", [200, 92], [236, 60]),
    at("volts", [156, 140], [14, 160]),
    at("shape", [222, 124], [236, 150]),
  ],
  words: { larger: "Larger", smaller: "Smaller" },
};
