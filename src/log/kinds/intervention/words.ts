import { inSentence } from "@/words/in-sentence";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"intervention"> = ({ seen, label }) =>
  seen ? `Seen and mended: ${inSentence(label)}` : label;
