import { across, aslant, at, box, type Drawing, disc, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A ball bearing from the front and from the side: bore, outside and width are measured, the shields or seals looked at.",
  shapes: [
    disc(118, 100, 68),
    disc(118, 100, 58, "hidden"),
    disc(118, 100, 38, "hidden"),
    disc(118, 100, 30, "hole"),
    box(236, 32, 34, 136),
    path("M236 70 h34 M236 130 h34", "hidden"),
  ],
  marks: [
    across("bore", 94, 88, 148),
    tall("outside", 40, 32, 168, "over"),
    aslant("width", [236, 176], [270, 176], [276, 150]),
    at("seals", [150, 138], [180, 176]),
  ],
};
