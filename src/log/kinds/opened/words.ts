import type { KindWords } from "../../kind-words";

export const words: KindWords<"opened"> = ({ access }) => `Off: ${access}`;
