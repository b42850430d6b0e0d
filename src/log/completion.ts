import type { JobView } from "@/core/job/log/reduce";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { Result } from "@/core/result";
import type { Executor } from "@/server/db/executor";
import type { ShopContext } from "@/server/services/shop-context";
import type { Drafts, EntryKind, Payloads } from "./schemas";

/** What the server completes an entry from. */
export interface CompletionContext {
  readonly view: JobView;
  readonly on: Executor;
  readonly now: string;
  readonly shopContext: ShopContext;
}

/** What the log keeps, and what the entry's move needs of the bench; nothing where it is left out. */
export interface Completed<K extends EntryKind> {
  readonly payload: Payloads[K];
  readonly need?: BenchNeed;
  /** How power is on for it; off where it is left out. */
  readonly power?: PowerUse;
}

/** A posted payload to what the log keeps: the server's own working counts, never the screen's. */
export type Completion<K extends EntryKind> = (
  draft: Drafts[K],
  context: CompletionContext,
) => Promise<Result<Completed<K>>> | Result<Completed<K>>;
