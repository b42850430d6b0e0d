import type { KindWords } from "../../kind-words";

export const words: KindWords<"decision"> = ({ label, overrideWhy }) =>
  `Decided: ${label}${overrideWhy ? `, without proof: ${overrideWhy}` : ""}`;
