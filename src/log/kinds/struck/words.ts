import { whyStruck } from "@/words/strikes";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"struck"> = (payload) => {
  const why = whyStruck(payload);
  return `Struck out line ${payload.seq}${why === "" ? "" : `: ${why}`}`;
};
