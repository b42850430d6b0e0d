import type { Isolation } from "@/core/isolation/isolate";
import type { JobDecision } from "@/core/job/deciding/decide-job";
import type { JobView } from "@/core/job/log/view";
import type { Parameters } from "@/core/knowledge/parameters";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { Knowledge, Limits } from "@/core/knowledge/types";
import type { Asked } from "@/core/matching/asked.input";
import type { PartMatch } from "@/core/matching/part-match";
import type { Result } from "@/core/result";
import type { Settings } from "@/core/shop/settings";
import type { Finding } from "@/core/tools/finding.input";
import type { ToolCard } from "@/core/tools/tool";
import type { Drafts, EntryKind, Payloads } from "./schemas";

/** What of the shop an entry is completed from. */
export interface ShopFacts {
  readonly knowledge: Knowledge;
  readonly settings: { readonly value: Settings };
  readonly limits: Limits;
  readonly parameters: Parameters;
  readonly tools: readonly ToolCard[];
}

/** A reading that was taken on its own. */
export interface KeptReading {
  readonly id: string;
  readonly toolId: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly finding: Finding;
}

/** What else the server does for an entry: it is handed in, so that the log knows no server. */
export interface Services {
  jobExists(jobId: number): Promise<boolean>;
  /** Another job as its log says it, or undefined. */
  viewOf(jobId: number): Promise<JobView | undefined>;
  ownerExists(ownerId: number): Promise<boolean>;
  /** @returns the size of a picture that lies here, or undefined */
  pictureSize(sha256: string): Promise<{ readonly width: number; readonly height: number } | undefined>;
  keptReading(id: string): Promise<KeptReading | undefined>;
  /** Runs a tool by the shop's own limits. Paths of issues begin with `input`. */
  runTool(toolId: string, input: Readonly<Record<string, unknown>>): Promise<Result<Finding>>;
  decide(view: JobView): Promise<Result<{ readonly decision: JobDecision; readonly isolation: Isolation }>>;
  match(asked: Asked, view: JobView): Promise<Result<PartMatch>>;
}

/** What the server completes an entry from. */
export interface CompletionContext {
  readonly view: JobView;
  readonly now: string;
  readonly shop: ShopFacts;
  readonly services: Services;
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
