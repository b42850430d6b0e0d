import type { LiveContext } from "@/core/job/live-facts";
import type { Entry, EntryKind, Payloads } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { Limits } from "@/core/knowledge/types";
import type { Issue } from "@/core/result";
import type { Watch } from "@/core/safety/plug-watch";

/** Who posts, when, from which screen, and what the reading's move needs. */
export interface GuardContext {
  readonly by: string;
  readonly now: string;
  readonly watch: Watch | undefined;
  readonly need: BenchNeed;
  /** How power is on for it. */
  readonly power: PowerUse;
  readonly live: LiveContext;
  readonly limits: Limits;
  /** Calendar day of `now` in the shop's zone. */
  readonly today: string;
}

/** Whether an entry of a kind may be appended to this log now; every reason why not. */
export type Guard<K extends EntryKind> = (
  payload: Payloads[K],
  view: JobView,
  entries: readonly Entry[],
  context: GuardContext,
) => readonly Issue[];
