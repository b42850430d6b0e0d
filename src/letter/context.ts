import type { Fault } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import type { ToolSentences } from "@/words/said";

/** What the letter is made from beside the job. */
export interface LetterContext {
  readonly shop: Shop;
  readonly ownerName: string;
  readonly faults: readonly Fault[];
  readonly sentences: ToolSentences;
}
