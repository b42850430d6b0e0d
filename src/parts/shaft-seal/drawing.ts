import { across, aslant, at, type Drawing, disc, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A shaft seal from the front and cut through: the shaft under its lip, its outside, its width, and how many lips it has.",
  shapes: [
    disc(104, 100, 64),
    disc(104, 100, 34, "hole"),
    path("M220 36 h40 v20 h-22 l14 24 l-8 6 l-24 -30 z", "dark"),
    path("M220 164 h40 v-20 h-22 l14 -24 l-8 -6 l-24 30 z", "dark"),
    path("M212 86 h70 M212 114 h70", "hidden"),
  ],
  marks: [
    across("shaft", 94, 70, 138),
    tall("outside", 34, 36, 164, "over"),
    aslant("width", [220, 172], [260, 172], [268, 166]),
    at("lip", [250, 82], [270, 54]),
    at("material", [150, 146], [150, 176]),
  ],
};
