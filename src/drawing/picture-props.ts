import type { Limits } from "@/core/knowledge/types";
import type { Finding } from "@/core/tools/finding.input";
import type { ToolDraft } from "./typed";

/** What a tool's pictures are drawn from: what is typed, and what it says. */
export interface PictureProps {
  readonly draft: ToolDraft;
  /** Of what is typed, or else of the reading last kept. */
  readonly finding: Finding | undefined;
  readonly limits: Limits;
}
