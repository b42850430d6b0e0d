import type { KindWords } from "../../kind-words";

export const words: KindWords<"owner-answer"> = ({ answer, question }) =>
  answer === "asked" ? `Owner asked: ${question}` : `Owner said ${answer}: ${question}`;
