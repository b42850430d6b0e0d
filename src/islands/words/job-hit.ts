import type { SignedOff } from "@/core/job/log/entry";
import { formatDay } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";
import { SIGN_OFF_WORDS } from "./runs";

/** A job as it is found by its words. */
export interface JobHit {
  readonly jobId: number;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
  readonly ownerName: string;
  readonly touchedAt: string;
  /** What was decided; empty while nothing is. */
  readonly decided: string;
  /** The word it left with. */
  readonly word: SignedOff["word"] | null;
  readonly isSignedOff: boolean;
}

/** Whose it is, when it was last touched, what was decided, and how it left or where it stands. */
export function hitWords({ ownerName, touchedAt, decided, word, place }: JobHit): string {
  const state = word ? inSentence(SIGN_OFF_WORDS[word]) : place;
  return [ownerName, formatDay(touchedAt.slice(0, 10)), decided, state]
    .filter((one) => one !== "")
    .join(" · ");
}
