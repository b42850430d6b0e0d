import type { KindWords } from "../../kind-words";

export const words: KindWords<"not-done"> = ({ what, why }) => `Not done: ${what}, ${why}`;
