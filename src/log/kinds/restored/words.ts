import type { KindWords } from "../../kind-words";

export const words: KindWords<"restored"> = ({ seq }) => `Restored line ${seq}`;
