import { at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A speed control: the amps printed on it, the leads counted, and whether a speed sensor is plugged into it.",
  shapes: [
    box(84, 48, 130, 92),
    path("M214 62 h50 M214 82 h50 M214 106 h50 M214 126 h50", "line"),
    box(104, 68, 36, 30, "dark"),
    box(66, 106, 18, 22, "dark"),
  ],
  marks: [
    at("leads", [264, 94], [250, 36]),
    at("feedback", [70, 126], [20, 170]),
    at("amps", [160, 60], [140, 24], "middle"),
    at("kind", [150, 130], [140, 164]),
  ],
};
