import { across, at, box, type Drawing, path } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A fuse with its two caps: amps and volts are stamped on the caps, the body is measured from end to end, and is glass or ceramic.",
  shapes: [
    box(96, 82, 128, 36),
    box(66, 76, 34, 48, "dark"),
    box(220, 76, 34, 48, "dark"),
    path("M100 100 H220", "line"),
  ],
  marks: [
    at("amps", [80, 80], [20, 36]),
    at("speed", [96, 122], [20, 168]),
    across("body", 142, 66, 254),
    at("breaking", [160, 84], [160, 36], "middle"),
    at("volts", [240, 80], [244, 36]),
  ],
  words: { breaking: "Breaks" },
};
