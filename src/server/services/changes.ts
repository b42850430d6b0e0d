import { EventEmitter } from "node:events";

/** A job whose log grew. */
export interface Change {
  readonly jobId: number;
  readonly seq: number;
}

/** On globalThis, since pages and endpoints may be loaded as several copies of this module. */
const holder = globalThis as { goodSpindleChanges?: EventEmitter };

function emitter(): EventEmitter {
  if (!holder.goodSpindleChanges) {
    holder.goodSpindleChanges = new EventEmitter();
    // One listener a screen that looks on; the default warns at eleven.
    holder.goodSpindleChanges.setMaxListeners(0);
  }
  return holder.goodSpindleChanges;
}

/** Tells every screen that looks on. Called after the transaction, never inside it. */
export function announce(change: Change): void {
  emitter().emit("change", change);
}

/** @returns what ends the listening */
export function onChange(listener: (change: Change) => void): () => void {
  emitter().on("change", listener);
  return () => emitter().off("change", listener);
}
