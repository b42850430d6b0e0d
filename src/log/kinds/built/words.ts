import type { KindWords } from "../../kind-words";

export const words: KindWords<"built"> = ({ stations }) =>
  `Its path: ${stations.join(", ").replaceAll("-", " ")}`;
