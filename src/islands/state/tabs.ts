import { atom } from "nanostores";

/** A job whose log grew, as a tab or the shop's computer tells it. */
export interface Change {
  readonly jobId: number;
  readonly seq: number;
}

/** Every change heard of is counted; `jobId` is the job of the last one, undefined where any may have changed. */
export const $changes = atom<{ readonly count: number; readonly jobId: number | undefined }>({
  count: 0,
  jobId: undefined,
});

/** A change was heard of: screens that show many jobs load what changed. */
export function countChange(jobId: number | undefined): void {
  $changes.set({ count: $changes.get().count + 1, jobId });
}

/** The line that this page kept last and that can be taken back. */
export const $lastKept = atom<Change | null>(null);

// It is offered on the screen it was kept on.
if (typeof document !== "undefined")
  document.addEventListener("astro:before-swap", () => $lastKept.set(null));

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
  countChange(change.jobId);
  tabChannel()?.postMessage(change);
}
