import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A switch from the front: the hole it sits in is measured, not its frame; poles are counted at its tabs.",
  shapes: [
    box(96, 44, 128, 92),
    box(106, 54, 108, 72, "hidden"),
    box(122, 64, 76, 52, "dark"),
    path("M224 66 h22 M224 90 h22 M224 114 h22", "line"),
  ],
  marks: [
    across("cutout", 150, 106, 214),
    at("poles", [246, 90], [254, 60]),
    at("action", [130, 72], [20, 40]),
    at("seal", [100, 128], [20, 164]),
  ],
  words: { seal: "Sealed", cutout: "Opening" },
};
