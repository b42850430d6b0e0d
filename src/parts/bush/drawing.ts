import { across, at, box, type Drawing, disc, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A bush from the front and from the side: bore, outside and length, and whether it has a flange.",
  shapes: [
    disc(104, 100, 56),
    disc(104, 100, 32, "hole"),
    box(210, 64, 70, 72),
    box(202, 48, 10, 104),
    path("M210 80 h70 M210 120 h70", "hidden"),
  ],
  marks: [
    across("bore", 94, 72, 136),
    tall("outside", 42, 44, 156, "over"),
    across("length", 144, 212, 280),
    at("flange", [206, 50], [150, 24]),
    at("material", [270, 70], [250, 30]),
  ],
};
