import type { Payloads } from "@/core/job/log/entry";
import type { StrikeReason } from "@/core/job/log/strike-reasons";
import { inSentence } from "./in-sentence";

/** Why a line was struck out, in words; empty where nothing was said. */
export function whyStruck({ reason, why }: Payloads["struck"]): string {
  const said = reason === "none" || reason === "slip" ? [] : [inSentence(STRIKE_WORDS[reason])];
  return [...said, ...(why === "" ? [] : [why])].join("; ");
}

/** Why a line is struck out, as it stands on its button. */
export const STRIKE_WORDS: Readonly<Record<StrikeReason, string>> = {
  "typed-wrongly": "Typed wrongly",
  "probes-slipped": "The probes did not touch; they are checked",
  "told-wrongly": "Told wrongly",
  "other-machine": "It was another machine",
  "written-twice": "Written twice",
  "asked-again": "Asked again",
  "not-done": "It was not done",
};
