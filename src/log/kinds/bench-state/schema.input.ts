import { benchEventDraft, benchEventSchema } from "@/core/safety/bench-event.input";
import type { Upcaster } from "../../versions";

export const schema = benchEventSchema;

/** What a screen posts; the server completes it. */
export const draft = benchEventDraft;

export const versions: readonly Upcaster[] = [];
