import { at, box, type Drawing, disc, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A unit that comes off in one piece, a motor on its gears: the maker's number stands on a label or cast into it, volts on its plate.",
  shapes: [
    box(60, 60, 110, 80),
    box(170, 48, 70, 104, "dark"),
    disc(205, 100, 22, "hole"),
    box(84, 84, 60, 30, "hole"),
    path("M60 100 H36", "line"),
  ],
  marks: [
    at("number", [110, 100], [70, 24]),
    at("what", [206, 150], [214, 176]),
    at("volts", [96, 108], [14, 168]),
  ],
};
