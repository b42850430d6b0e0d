import { promiseWords } from "@/words/put-back";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"follow-up"> = (payload) => promiseWords(payload);
