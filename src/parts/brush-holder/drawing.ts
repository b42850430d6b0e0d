import { across, aslant, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A brush holder from its open end and from the side, with its spring: the two sides of its slot, the seat in the housing, and what presses.",
  shapes: [
    box(40, 56, 90, 90),
    box(64, 74, 42, 54, "hole"),
    path("M190 64 h70 v70 h-70 z"),
    path("M204 76 h40 l-40 12 h40 l-40 12 h40 l-40 12 h40", "line"),
    path("M180 134 h90", "dark"),
  ],
  marks: [
    across("thickness", 66, 64, 106, "above"),
    aslant("width", [116, 74], [116, 128], [136, 96]),
    across("seat", 148, 190, 260),
    at("press", [236, 80], [236, 32]),
    at("piece", [60, 140], [20, 170]),
  ],
  words: { thickness: "Short side", width: "Long", seat: "Seat" },
};
