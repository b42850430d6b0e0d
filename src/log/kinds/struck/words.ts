import type { KindWords } from "../../kind-words";

export const words: KindWords<"struck"> = ({ seq, why }) => `Struck out line ${seq}${why ? `: ${why}` : ""}`;
