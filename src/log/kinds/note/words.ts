import type { KindWords } from "../../kind-words";

export const words: KindWords<"note"> = ({ text }) => text;
