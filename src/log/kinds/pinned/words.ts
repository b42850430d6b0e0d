import type { KindWords } from "../../kind-words";

export const words: KindWords<"pinned"> = ({ line, picture }) =>
  `Line ${line} shown on the picture of line ${picture}`;
