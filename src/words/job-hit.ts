import type { JobHit } from "@/core/job/job-hit";
import { formatDay } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";
import { SIGN_OFF_WORDS } from "./runs";

/** Whose it is, when it was last touched, what was decided, and how it left or where it stands. */
export function hitWords({ ownerName, touchedAt, decided, word, place }: JobHit): string {
  const state = word ? inSentence(SIGN_OFF_WORDS[word]) : place;
  return [ownerName, formatDay(touchedAt.slice(0, 10)), decided, state]
    .filter((one) => one !== "")
    .join(" · ");
}
