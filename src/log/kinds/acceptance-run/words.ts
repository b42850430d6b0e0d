import { RUN_RESULT, RUN_WORDS } from "@/words/runs";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"acceptance-run"> = ({ circumstance, minutes, result }) =>
  `Run, ${RUN_WORDS[circumstance]}, ${minutes} min: ${RUN_RESULT[result]}`;
