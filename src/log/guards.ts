import type { Entry, EntryKind, NewEntry } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { Issue } from "@/core/result";
import type { Guard, GuardContext } from "./guard";
import { guard as acceptanceRun } from "./kinds/acceptance-run/guard";
import { guard as answer } from "./kinds/answer/guard";
import { guard as benchState } from "./kinds/bench-state/guard";
import { guard as closed } from "./kinds/closed/guard";
import { guard as followUp } from "./kinds/follow-up/guard";
import { guard as followedUp } from "./kinds/followed-up/guard";
import { guard as intervention } from "./kinds/intervention/guard";
import { guard as opened } from "./kinds/opened/guard";
import { guard as orderLinked } from "./kinds/order-linked/guard";
import { guard as pinned } from "./kinds/pinned/guard";
import { guard as reading } from "./kinds/reading/guard";
import { guard as refitted } from "./kinds/refitted/guard";
import { guard as removed } from "./kinds/removed/guard";
import { guard as reopened } from "./kinds/reopened/guard";
import { guard as reordered } from "./kinds/reordered/guard";
import { guard as restored } from "./kinds/restored/guard";
import { guard as signedOff } from "./kinds/signed-off/guard";
import { guard as struck } from "./kinds/struck/guard";
import { guard as timeSpent } from "./kinds/time-spent/guard";

/** Kinds that may be refused; the others are always taken. */
const GUARDS: { readonly [K in EntryKind]?: Guard<K> } = {
  reading: reading,
  answer: answer,
  struck: struck,
  restored: restored,
  "bench-state": benchState,
  opened: opened,
  closed: closed,
  intervention: intervention,
  refitted: refitted,
  removed: removed,
  pinned: pinned,
  reordered: reordered,
  "follow-up": followUp,
  "followed-up": followedUp,
  reopened: reopened,
  "acceptance-run": acceptanceRun,
  "signed-off": signedOff,
  "order-linked": orderLinked,
  "time-spent": timeSpent,
};

/** What these say can have been said by another line since: restoring one asks its own guard again. */
const ASKED_AGAIN: ReadonlySet<EntryKind> = new Set(["refitted", "followed-up", "order-linked"]);

function guardOf(
  view: JobView,
  entries: readonly Entry[],
  { kind, payload }: NewEntry,
  context: GuardContext,
): readonly Issue[] {
  const guard = GUARDS[kind] as Guard<EntryKind> | undefined;
  return guard?.(payload, view, entries, context) ?? [];
}

/** Whether an entry may be appended to this log now; every reason why not. */
export function guardEntry(
  view: JobView,
  entries: readonly Entry[],
  entry: NewEntry,
  context: GuardContext,
): readonly Issue[] {
  const own = guardOf(view, entries, entry, context);
  if (own.length > 0 || entry.kind !== "restored") return own;
  const target = entries.find(({ seq }) => seq === entry.payload.seq);
  return target && target.kind !== "unreadable" && ASKED_AGAIN.has(target.kind)
    ? guardOf(view, entries, target, context)
    : [];
}
