import { at, type Drawing, disc, path, tall, toothed } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A fan from the front: outside across the blades, bore, how the hub is held, and which way it turns to blow.",
  shapes: [
    path(toothed(130, 100, 24, 74, 7)),
    disc(130, 100, 26),
    disc(130, 100, 10, "hole"),
    path("M224 128 a104 104 0 0 1 -24 40 l2 -14 m-2 14 l14 -4", "line"),
  ],
  marks: [
    tall("outside", 44, 26, 174, "over"),
    at("bore", [138, 98], [222, 80]),
    at("hub", [148, 114], [234, 116]),
    at("turns", [206, 162], [222, 168]),
    at("blades", [178, 56], [212, 32]),
  ],
  words: { turns: "Turns" },
};
