import { across, aslant, at, type Drawing, disc } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "An O-ring and its cord cut through: the inside is measured at the groove, the cord with a caliper that does not squeeze.",
  shapes: [disc(120, 100, 70, "dark"), disc(120, 100, 54, "hole"), disc(250, 100, 22, "dark")],
  marks: [
    across("inside", 94, 66, 174),
    aslant("cord", [228, 70], [272, 70], [250, 44], "middle"),
    at("material", [244, 112], [214, 156]),
  ],
};
