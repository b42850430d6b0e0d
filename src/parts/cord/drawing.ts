import { across, at, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "The cut end of a cord: cores counted, the copper of one measured, the sheath looked at, the length taped.",
  shapes: [
    path("M24 70 h150 v60 h-150 z"),
    path("M174 80 h52 v12 h-52 z M174 96 h52 v12 h-52 z M174 112 h52 v12 h-52 z"),
    path("M226 86 h40 M226 102 h40 M226 118 h40", "line"),
  ],
  marks: [
    across("length", 144, 24, 174),
    at("sheath", [60, 72], [40, 34]),
    at("cores", [200, 84], [170, 34]),
    at("section", [258, 102], [252, 150], "middle"),
  ],
  words: { section: "Copper" },
};
