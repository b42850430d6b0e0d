import type { NewEntry } from "@/core/job/log/entry";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import { ok, type Result } from "@/core/result";
import type { Completion, CompletionContext } from "@/log/completion";
import { COMPLETIONS } from "@/log/completions";
import type { Drafts, EntryKind } from "@/log/schemas";

/** A posted entry of any kind, as its schema hands it on. */
export type Draft = {
  readonly [K in EntryKind]: { readonly kind: K; readonly payload: Drafts[K] };
}[EntryKind];

/** An entry ready for the log, and what its move needs of the bench. */
export interface CompletedEntry {
  readonly entry: NewEntry;
  readonly need: BenchNeed;
  readonly power: PowerUse;
}

/** A posted entry to what the log keeps, by the room of its kind. */
export async function completeEntry(
  { kind, payload }: Draft,
  context: CompletionContext,
): Promise<Result<CompletedEntry>> {
  const complete = COMPLETIONS[kind] as Completion<EntryKind> | undefined;
  if (!complete) return ok({ entry: { kind, payload } as NewEntry, need: "none", power: "off" });
  const done = await complete(payload, context);
  if (!done.ok) return done;
  const { payload: kept, need = "none", power = "off" } = done.value;
  return ok({ entry: { kind, payload: kept } as NewEntry, need, power });
}
