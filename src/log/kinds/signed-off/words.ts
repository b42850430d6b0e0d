import { SIGN_OFF_WORDS } from "@/words/runs";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"signed-off"> = ({ word }) =>
  `Signed off: ${SIGN_OFF_WORDS[word].toLowerCase()}`;
