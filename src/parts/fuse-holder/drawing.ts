import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A fuse holder through a panel, seen from the side: how it is held, the length of the fuse it takes, and whether a finger can touch what is live.",
  shapes: [
    box(120, 64, 130, 72),
    path("M112 30 V170", "dark"),
    box(84, 72, 28, 56),
    path("M250 84 h34 M250 116 h34", "line"),
    path("M132 100 h104", "hidden"),
  ],
  marks: [
    at("mount", [112, 62], [16, 20]),
    across("body", 150, 132, 236),
    at("insulated", [92, 124], [20, 168]),
    at("amps", [186, 70], [186, 30], "middle"),
  ],
};
