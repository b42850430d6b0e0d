import type { LedgerLine } from "@/core/job/log/view";
import type { KindWords, Said } from "./kind-words";
import { words as acceptanceRun } from "./kinds/acceptance-run/words";
import { words as answer } from "./kinds/answer/words";
import { words as benchState } from "./kinds/bench-state/words";
import { words as built } from "./kinds/built/words";
import { words as closed } from "./kinds/closed/words";
import { words as complaint } from "./kinds/complaint/words";
import { words as decision } from "./kinds/decision/words";
import { words as followUp } from "./kinds/follow-up/words";
import { words as followedUp } from "./kinds/followed-up/words";
import { words as intervention } from "./kinds/intervention/words";
import { words as nameplate } from "./kinds/nameplate/words";
import { words as notDone } from "./kinds/not-done/words";
import { words as note } from "./kinds/note/words";
import { words as opened } from "./kinds/opened/words";
import { words as orderLinked } from "./kinds/order-linked/words";
import { words as ownerAnswer } from "./kinds/owner-answer/words";
import { words as partChosen } from "./kinds/part-chosen/words";
import { words as picture } from "./kinds/picture/words";
import { words as pinned } from "./kinds/pinned/words";
import { words as priced } from "./kinds/priced/words";
import { words as reading } from "./kinds/reading/words";
import { words as refitted } from "./kinds/refitted/words";
import { words as removed } from "./kinds/removed/words";
import { words as reopened } from "./kinds/reopened/words";
import { words as reordered } from "./kinds/reordered/words";
import { words as restored } from "./kinds/restored/words";
import { words as signedOff } from "./kinds/signed-off/words";
import { words as struck } from "./kinds/struck/words";
import { words as takenIn } from "./kinds/taken-in/words";
import { words as timeSpent } from "./kinds/time-spent/words";
import { words as timerStarted } from "./kinds/timer-started/words";
import type { EntryKind } from "./schemas";

/** Every kind in words: a kind without does not compile. */
const WORDS: { readonly [K in EntryKind]: KindWords<K> } = {
  "acceptance-run": acceptanceRun,
  answer: answer,
  "bench-state": benchState,
  built: built,
  closed: closed,
  complaint: complaint,
  decision: decision,
  "follow-up": followUp,
  "followed-up": followedUp,
  intervention: intervention,
  nameplate: nameplate,
  "not-done": notDone,
  note: note,
  opened: opened,
  "owner-answer": ownerAnswer,
  "order-linked": orderLinked,
  "time-spent": timeSpent,
  "part-chosen": partChosen,
  picture: picture,
  pinned: pinned,
  priced: priced,
  reading: reading,
  refitted: refitted,
  removed: removed,
  reopened: reopened,
  reordered: reordered,
  restored: restored,
  "signed-off": signedOff,
  struck: struck,
  "taken-in": takenIn,
  "timer-started": timerStarted,
};

/** One line of the ledger in words. */
export function lineWords(line: LedgerLine, said: Said): string {
  if (line.kind === "unreadable")
    return `Cannot be read (kept as ${line.payload.was}): ${line.payload.raw}. ${line.payload.why}`;
  const words = WORDS[line.kind] as KindWords<EntryKind>;
  return words(line.payload, said);
}
