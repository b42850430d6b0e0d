import type { KindWords } from "../../kind-words";

export const words: KindWords<"closed"> = ({ access }) => `Back on: ${access}`;
