import { aslant, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A plug: its earth contact, the amps printed on it, and the sheath it can hold.",
  shapes: [
    path("M96 56 h84 l40 24 v40 l-40 24 h-84 z"),
    path("M60 76 h36 M60 124 h36", "line"),
    path("M96 100 h-16", "line"),
    box(220, 90, 76, 20, "dark"),
  ],
  marks: [
    at("earth", [82, 100], [14, 40]),
    at("amps", [140, 66], [140, 26], "middle"),
    aslant("sheath", [262, 90], [262, 110], [226, 140]),
    at("piece", [130, 142], [100, 172]),
  ],
  words: { sheath: "Sheath" },
};
