import { storeWords } from "@/words/stores";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"nameplate"> = (payload) =>
  payload.plate === "motor"
    ? "Plate of the motor read"
    : `Marking of the ${storeWords(payload.id)}: ${payload.mark}`;
