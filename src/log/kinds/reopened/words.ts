import type { KindWords } from "../../kind-words";

export const words: KindWords<"reopened"> = ({ why }) => `Opened again: ${why}`;
