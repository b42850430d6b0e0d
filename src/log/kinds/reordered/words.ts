import type { KindWords } from "../../kind-words";

export const words: KindWords<"reordered"> = ({ lines }) => `Order of putting back: ${lines.join(", ")}`;
