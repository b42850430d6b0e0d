import { at, box, type Drawing, disc, path, tall, toothed } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "The spider of a coupling and one half from the side: the outside across it, its arms counted, the bore in the half.",
  shapes: [
    path(toothed(110, 100, 26, 62, 4), "dark"),
    disc(110, 100, 14, "hole"),
    box(220, 52, 44, 96),
    path("M264 60 h16 v22 h-16 M264 118 h16 v22 h-16", "line"),
    path("M220 86 h44 M220 114 h44", "hidden"),
  ],
  marks: [
    tall("outside", 40, 38, 162, "over"),
    at("arms", [142, 60], [150, 26]),
    tall("bore", 210, 86, 114, "left"),
    at("hardness", [112, 130], [130, 176]),
  ],
};
