import { at, type Drawing, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "The weights on a rotor's shaft and the contacts they press: the shaft is measured under the weights.",
  shapes: [
    path("M20 88 h260 v24 h-260 z"),
    path("M96 52 h40 v96 h-40 z", "dark"),
    path("M136 66 h22 v68 h-22 z"),
    path("M196 40 v40 M196 120 v40 M204 40 v40 M204 120 v40", "line"),
  ],
  marks: [
    tall("shaft", 66, 88, 112, "over"),
    at("piece", [116, 54], [100, 24]),
    at("amps", [204, 50], [222, 40]),
  ],
  words: { shaft: "Shaft" },
};
