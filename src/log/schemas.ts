import type * as yup from "yup";
import type { Shape } from "@/core/validate";
import * as acceptanceRun from "./kinds/acceptance-run/schema.input";
import * as answer from "./kinds/answer/schema.input";
import * as benchState from "./kinds/bench-state/schema.input";
import * as built from "./kinds/built/schema.input";
import * as closed from "./kinds/closed/schema.input";
import * as complaint from "./kinds/complaint/schema.input";
import * as decision from "./kinds/decision/schema.input";
import * as followUp from "./kinds/follow-up/schema.input";
import * as followedUp from "./kinds/followed-up/schema.input";
import * as intervention from "./kinds/intervention/schema.input";
import * as nameplate from "./kinds/nameplate/schema.input";
import * as notDone from "./kinds/not-done/schema.input";
import * as note from "./kinds/note/schema.input";
import * as opened from "./kinds/opened/schema.input";
import * as orderLinked from "./kinds/order-linked/schema.input";
import * as ownerAnswer from "./kinds/owner-answer/schema.input";
import * as partChosen from "./kinds/part-chosen/schema.input";
import * as picture from "./kinds/picture/schema.input";
import * as pinned from "./kinds/pinned/schema.input";
import * as priced from "./kinds/priced/schema.input";
import * as reading from "./kinds/reading/schema.input";
import * as refitted from "./kinds/refitted/schema.input";
import * as removed from "./kinds/removed/schema.input";
import * as reopened from "./kinds/reopened/schema.input";
import * as reordered from "./kinds/reordered/schema.input";
import * as restored from "./kinds/restored/schema.input";
import * as signedOff from "./kinds/signed-off/schema.input";
import * as struck from "./kinds/struck/schema.input";
import * as takenIn from "./kinds/taken-in/schema.input";
import * as timeSpent from "./kinds/time-spent/schema.input";
import * as timerStarted from "./kinds/timer-started/schema.input";

/** Every kind of entry with its schema, the form a screen posts where it differs, and the steps from its first version. */
export const SCHEMAS = {
  "taken-in": takenIn,
  nameplate: nameplate,
  complaint: complaint,
  "bench-state": benchState,
  opened: opened,
  closed: closed,
  answer: answer,
  intervention: intervention,
  reading: reading,
  "part-chosen": partChosen,
  built: built,
  priced: priced,
  decision: decision,
  picture: picture,
  removed: removed,
  pinned: pinned,
  reordered: reordered,
  refitted: refitted,
  "acceptance-run": acceptanceRun,
  "signed-off": signedOff,
  "not-done": notDone,
  "owner-answer": ownerAnswer,
  "order-linked": orderLinked,
  "time-spent": timeSpent,
  "timer-started": timerStarted,
  "follow-up": followUp,
  "followed-up": followedUp,
  reopened: reopened,
  note: note,
  struck: struck,
  restored: restored,
} as const;

export type EntryKind = keyof typeof SCHEMAS;

/** What each kind of entry carries, newest version. */
export type Payloads = { readonly [K in EntryKind]: Shape<(typeof SCHEMAS)[K]["schema"]> };

/** What a screen posts for each kind. */
export type Drafts = {
  readonly [K in EntryKind]: (typeof SCHEMAS)[K] extends {
    readonly draft: infer D extends yup.ISchema<unknown>;
  }
    ? Shape<D>
    : Payloads[K];
};

export function isKind(id: string): id is EntryKind {
  return Object.hasOwn(SCHEMAS, id);
}

export const ENTRY_KINDS: readonly EntryKind[] = Object.keys(SCHEMAS).filter(isKind);
