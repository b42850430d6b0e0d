import type { Completion } from "./completion";
import { complete as answer } from "./kinds/answer/complete";
import { complete as benchState } from "./kinds/bench-state/complete";
import { complete as built } from "./kinds/built/complete";
import { complete as complaint } from "./kinds/complaint/complete";
import { complete as decision } from "./kinds/decision/complete";
import { complete as intervention } from "./kinds/intervention/complete";
import { complete as nameplate } from "./kinds/nameplate/complete";
import { complete as opened } from "./kinds/opened/complete";
import { complete as ownerAnswer } from "./kinds/owner-answer/complete";
import { complete as partChosen } from "./kinds/part-chosen/complete";
import { complete as picture } from "./kinds/picture/complete";
import { complete as priced } from "./kinds/priced/complete";
import { complete as reading } from "./kinds/reading/complete";
import { complete as refitted } from "./kinds/refitted/complete";
import { complete as signedOff } from "./kinds/signed-off/complete";
import { complete as struck } from "./kinds/struck/complete";
import { complete as takenIn } from "./kinds/taken-in/complete";
import type { EntryKind } from "./schemas";

/** Kinds that the server completes; the others are kept as they were posted. */
export const COMPLETIONS: { readonly [K in EntryKind]?: Completion<K> } = {
  "taken-in": takenIn,
  nameplate: nameplate,
  complaint: complaint,
  "bench-state": benchState,
  opened: opened,
  answer: answer,
  intervention: intervention,
  reading: reading,
  "part-chosen": partChosen,
  "owner-answer": ownerAnswer,
  built: built,
  priced: priced,
  decision: decision,
  picture: picture,
  "signed-off": signedOff,
  refitted: refitted,
  struck: struck,
};
