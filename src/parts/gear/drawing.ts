import { across, aslant, at, box, type Drawing, disc, path, toothed } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A gear from the front and from the side: teeth counted, the broken ones too; the module is the outside divided by two more than the teeth; bore and face measured.",
  shapes: [
    path(toothed(112, 100, 56, 68, 18)),
    disc(112, 100, 22, "hole"),
    box(244, 32, 26, 136),
    path("M244 78 h26 M244 122 h26", "hidden"),
  ],
  marks: [
    at("teeth", [162, 56], [176, 30]),
    aslant("module", [34, 32], [34, 168], [8, 12]),
    across("bore", 94, 90, 134),
    aslant("width", [244, 176], [270, 176], [276, 150]),
    at("helix", [248, 60], [196, 104]),
    at("material", [140, 146], [172, 176]),
  ],
};
