import { across, at, type Drawing, disc, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A belt round its two pulleys, and its section: the length is that of a new one, measured with a thread; ribs or teeth are counted.",
  shapes: [
    path("M66 60 a34 34 0 0 0 0 68 L190 116 a22 22 0 0 0 0 -44 z"),
    disc(66, 94, 16, "hole"),
    disc(190, 94, 9, "hole"),
    path("M238 120 l8 26 h44 l8 -26 z", "dark"),
  ],
  marks: [
    at("length", [130, 64], [120, 24], "middle"),
    at("section", [246, 140], [216, 176]),
    across("count", 110, 238, 298, "above"),
    at("stretch", [120, 124], [60, 168]),
  ],
  words: { length: "Length", count: "Ribs" },
};
