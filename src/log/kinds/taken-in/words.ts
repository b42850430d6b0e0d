import type { KindWords } from "../../kind-words";

export const words: KindWords<"taken-in"> = ({ machine }) => `Taken in: ${machine}`;
