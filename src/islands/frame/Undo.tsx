import { useStore } from "@nanostores/react";
import { useEffect, useState } from "react";
import { isNeverSlip } from "@/core/job/log/strike";
import { SLIP_MS } from "@/core/job/log/strike-reasons";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import type { Shop } from "@/core/shop/shop";
import { useLineWords } from "@/islands/state/tool-words";
import { WAKING } from "../state/awake";
import { $lastKept } from "../state/tabs";
import { undoLast } from "../state/undo";
import { onKey } from "./keys";

interface UndoProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly stage: Stage;
}

/** What was just kept, for eight seconds, with one tap to take it back, or the key u meanwhile. */
export function Undo({ job, shop, stage }: UndoProps) {
  const kept = useStore($lastKept, WAKING);
  const say = useLineWords(job, shop);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const [isShown, setIsShown] = useState(false);
  useEffect(() => {
    setProblem(undefined);
    setIsShown(kept !== null);
    if (!kept) return undefined;
    const timer = setTimeout(() => setIsShown(false), SLIP_MS);
    return () => clearTimeout(timer);
  }, [kept]);
  const line = job.ledger.find(({ seq, isStruck }) => seq === kept?.seq && !isStruck);
  // A shock, smoke, a trip or volts are not taken back at a tap.
  const isOffered =
    isShown && kept?.jobId === job.jobId && line !== undefined && !isNeverSlip(line.seq, job.live.dangers);
  useEffect(
    () => (isOffered ? onKey("u", () => void undoLast(job.jobId, stage).then(setProblem)) : undefined),
    [isOffered, job.jobId, stage],
  );
  if (!isOffered) return null;
  return (
    <div role="status" className="flex min-w-0 flex-1 basis-56 items-center gap-3" data-testid="undo">
      <span className="min-w-0 flex-1 truncate">
        {problem ?? (
          <>
            <span className="text-soft">Kept:</span> {say(line)}
          </>
        )}
      </span>
      <button
        type="button"
        className="btn btn-outline"
        onClick={() => void undoLast(job.jobId, stage).then(setProblem)}
      >
        Undo{" "}
        <span aria-hidden="true" className="key key-hint">
          u
        </span>
      </button>
    </div>
  );
}
