import { atom } from "nanostores";

/** A job whose log grew, as a tab or the shop's computer tells it. */
export interface Change {
  readonly jobId: number;
  readonly seq: number;
}

/** Counts every change heard of, of any job: screens that show many of them load again. */
export const $changes = atom(0);

/** The line that this page kept last and that can be taken back. */
export const $lastKept = atom<Change | null>(null);

const CHANNEL = "good-spindle:jobs";
let channel: BroadcastChannel | undefined;

/** The line between the tabs of one browser; undefined where there is none. */
export function tabChannel(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === "undefined") return undefined;
  channel ??= new BroadcastChannel(CHANNEL);
  return channel;
}

/** Something was kept here: the other tabs of this browser hear of it. */
export function tellTabs(change: Change): void {
  $changes.set($changes.get() + 1);
  tabChannel()?.postMessage(change);
}
