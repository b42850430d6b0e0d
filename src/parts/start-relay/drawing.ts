import { across, at, box, type Drawing, disc } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A start relay seen on its pins: what kind it is stands on its case, a PTC is measured cold between the two pins of the start winding.",
  shapes: [
    box(96, 48, 128, 104),
    disc(128, 78, 8, "dark"),
    disc(192, 78, 8, "dark"),
    disc(160, 122, 8, "dark"),
  ],
  marks: [
    across("ohms", 34, 128, 192, "above"),
    at("kind", [112, 140], [20, 150]),
    at("pins", [166, 124], [240, 110]),
    at("amps", [212, 140], [240, 164]),
  ],
  words: { ohms: "Cold ohms" },
};
