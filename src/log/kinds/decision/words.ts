import type { KindWords } from "../../kind-words";

export const words: KindWords<"decision"> = ({ label, overrideWhy, otherWhy }) => {
  const other = otherWhy ? `, not the cheapest: ${otherWhy}` : "";
  return `Decided: ${label}${overrideWhy ? `, without proof: ${overrideWhy}` : ""}${other}`;
};
