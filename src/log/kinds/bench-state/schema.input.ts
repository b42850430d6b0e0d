import { benchEventDraft, benchEventSchema } from "@/core/safety/bench-event.input";
import type { Upcaster } from "../../versions";

export const schema = benchEventSchema;

/** What a screen posts; the server completes it. */
export const draft = benchEventDraft;

/** "minded" says no more than that a hazard was seen to. */
const seenTo: Upcaster = (payload) => {
  const isOld = typeof payload === "object" && payload !== null && Reflect.get(payload, "event") === "minded";
  return isOld ? { ...payload, event: "seen-to" } : payload;
};

/** The outlet was not asked, nor why nothing stores. */
const outletNotSaid: Upcaster = (payload) => {
  const event: unknown =
    typeof payload === "object" && payload !== null ? Reflect.get(payload, "event") : null;
  if (event === "plugged-in") return Object.assign({}, payload, { outlet: "not-said" });
  return event === "nothing-stores" ? Object.assign({}, payload, { why: "" }) : payload;
};

export const versions: readonly Upcaster[] = [seenTo, outletNotSaid];
