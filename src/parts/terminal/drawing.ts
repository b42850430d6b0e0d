import { at, box, type Drawing, path, tall } from "@/core/matching/drawing";

/** Where each of its attributes is found. */
export const drawing: Drawing = {
  told: "A tab receptacle: the blade it takes is measured across, the wire it is crimped on, and whether it is covered.",
  shapes: [
    path("M60 64 h84 v16 h70 v40 h-70 v16 h-84 z"),
    path("M60 76 h70 M60 124 h70", "line"),
    box(214, 92, 70, 16, "dark"),
    path("M52 56 h172 v88 h-172 z", "hidden"),
  ],
  marks: [
    tall("blade", 46, 64, 136, "left"),
    at("wire", [264, 94], [246, 56]),
    at("cover", [120, 58], [120, 24], "middle"),
    at("heat", [90, 142], [90, 164], "middle"),
  ],
  words: { wire: "Wire" },
};
