import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A resistor with its bands: the bands give its ohms, its size its watts.",
  shapes: [
    path("M96 82 h128 v36 h-128 z"),
    path("M20 100 H96 M224 100 H300", "line"),
    box(114, 82, 10, 36, "dark"),
    box(140, 82, 10, 36, "dark"),
    box(166, 82, 10, 36, "dark"),
    box(202, 82, 8, 36, "dark"),
  ],
  marks: [at("resistance", [145, 84], [145, 36], "middle"), across("watts", 132, 96, 224)],
};
