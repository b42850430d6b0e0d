import { offWords } from "@/words/put-back";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"removed"> = (payload) =>
  `Off: ${offWords(payload)}${payload.where ? `, ${payload.where}` : ""}`;
