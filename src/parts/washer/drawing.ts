import { across, aslant, at, type Drawing, disc, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A washer from the front and from the side: inside, outside, thickness, and whether it is flat, waved or felt.",
  shapes: [
    disc(112, 100, 66),
    disc(112, 100, 34, "hole"),
    path("M234 34 q10 33 0 66 q-10 33 0 66 h10 q-10 -33 0 -66 q10 -33 0 -66 z", "dark"),
  ],
  marks: [
    across("inside", 94, 78, 146),
    tall("outside", 38, 34, 166, "over"),
    aslant("thickness", [234, 172], [244, 172], [252, 166]),
    at("kind", [240, 80], [258, 70]),
  ],
};
