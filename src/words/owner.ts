import type { OwnerAnswer } from "@/core/job/log/entry";

/** Where an owner's no leads. */
export const OWNER_END_WORDS: Readonly<Record<Exclude<OwnerAnswer["leadsTo"], "">, string>> = {
  "hand-back": "Hand it back unrepaired",
  cheaper: "A cheaper way",
  hold: "Hold it",
  scrap: "Scrap it here",
  "keep-for-parts": "Keep it for parts",
};
