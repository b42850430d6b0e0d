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

export const versions: readonly Upcaster[] = [seenTo];
