import type { Shop } from "@/core/shop/shop";
import type { ToolSentences } from "@/words/said";
import type { EntryKind, Payloads } from "./schemas";

/** What a line of the ledger is said from, beside its payload. */
export interface Said {
  readonly shop: Shop;
  /** Sentences of the tools whose findings are in the log. */
  readonly sentences: ToolSentences;
}

/** A line of a kind in words. */
export type KindWords<K extends EntryKind> = (payload: Payloads[K], said: Said) => string;
