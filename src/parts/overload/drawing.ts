import { at, box, type Drawing, disc, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "An overload protector: a round case with two tabs and, on some, a button. The button or its lack says how it resets; what it lies on says what it senses.",
  shapes: [
    disc(160, 104, 52),
    box(126, 26, 12, 32, "dark"),
    box(182, 26, 12, 32, "dark"),
    box(150, 156, 20, 14, "dark"),
    path("M120 130 q40 22 80 0", "line"),
  ],
  marks: [
    at("amps", [140, 92], [20, 60]),
    at("reset", [166, 166], [214, 176]),
    at("senses", [206, 120], [240, 100]),
  ],
};
