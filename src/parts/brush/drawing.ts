import { across, aslant, at, type Drawing, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A brush above its commutator: the thickness runs along the turn, the width along the shaft, and the length is that of a new one.",
  shapes: [
    path("M96 60 h52 v84 h-52 z"),
    path("M96 60 l34 -24 h52 l-34 24 z"),
    path("M148 60 l34 -24 v84 l-34 24 z"),
    path("M40 176 q82 -52 164 0", "dark"),
    path("M140 46 q10 -30 50 -22", "line"),
  ],
  marks: [
    tall("length", 84, 60, 144, "left"),
    aslant("width", [156, 148], [190, 124], [196, 146]),
    across("thickness", 152, 96, 148),
    at("contact", [190, 24], [212, 30]),
    at("grade", [176, 84], [212, 80]),
  ],
  words: { contact: "Lead end", length: "Length" },
};
