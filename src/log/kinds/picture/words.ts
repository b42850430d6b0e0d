import { PICTURE_OF } from "@/words/put-back";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"picture"> = (payload) =>
  `Picture, ${PICTURE_OF[payload.of]}${payload.words ? `: ${payload.words}` : ""}`;
