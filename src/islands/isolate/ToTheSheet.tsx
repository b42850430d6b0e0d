import type { ToolCard } from "@/core/tools/tool";
import { keepDraft } from "../state/draft";
import { measuredKey } from "../state/measured";

interface ToTheSheetProps {
  readonly jobId: number;
  readonly tool: ToolCard;
  readonly moveId: string;
}

/** A reading of several figures is worked out on its own sheet, which opens under Measure. */
export function ToTheSheet({ jobId, tool, moveId }: ToTheSheetProps) {
  return (
    <a
      className="mt-2 flex min-h-11 items-center text-teal underline underline-offset-4"
      href={`/jobs/${jobId}/measure`}
      onClick={() => keepDraft(measuredKey(jobId), moveId)}
    >
      Type the figures instead: {tool.title}
    </a>
  );
}
