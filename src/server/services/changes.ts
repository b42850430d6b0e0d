import { EventEmitter } from "node:events";
import type { OpenDatabase } from "@/server/db/connect";
import type { Change } from "@/server/db/other-servers";
import { openDatabase } from "@/server/db/shop-database";

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

/** Tells every screen that looks on, at every server of this shop. Called after the transaction, never inside it. */
export function announce(change: Change): void {
  emitter().emit("change", change);
  void openDatabase()?.then(({ others }) => others?.tell(change));
}

/** What the other servers on one database announce is announced here too. */
export function hearOthers({ others }: OpenDatabase): void {
  others?.hear((change) => emitter().emit("change", change), announceGap);
}

/** Everything may be another: whoever looks on loads anew. */
export function announceGap(): void {
  emitter().emit("gap");
}

/** Some changes were not heard: whoever looks on loads anew. @returns what ends the listening */
export function onGap(listener: () => void): () => void {
  emitter().on("gap", listener);
  return () => emitter().off("gap", listener);
}

/** @returns what ends the listening */
export function onChange(listener: (change: Change) => void): () => void {
  emitter().on("change", listener);
  return () => emitter().off("change", listener);
}
