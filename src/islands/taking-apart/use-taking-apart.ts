import { EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { Pin, Removed, RemovedSort } from "@/core/job/log/entry";
import { needToTouch } from "@/core/job/reassembly/touched";
import type { Stage } from "@/core/job/stages";
import type { JobScreen } from "../frame/use-job-screen";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

/** What stands ready for the next thing that comes off; tray and picture stay, the rest is used up. */
export interface Ready {
  readonly count: string;
  readonly where: string;
  readonly terminal: string;
  readonly sort: RemovedSort;
  readonly what: string;
  readonly torque: string;
  readonly adhesive: string;
  readonly pin: Pin | null;
}

/** What hangs on the machine, or is drawn on it, lies in no tray. */
const STAYS: ReadonlySet<RemovedSort> = new Set<RemovedSort>(["wire", "connector", "mark"]);

const EMPTY: Ready = {
  count: "1",
  where: "",
  terminal: "",
  sort: "fastener",
  what: "",
  torque: "",
  adhesive: "",
  pin: null,
};

export interface TakingApart {
  readonly ready: Ready;
  readonly problem: string | undefined;
  readonly isBusy: boolean;
  set(change: Partial<Ready>): void;
  /** Writes one line with what stands ready. */
  keep(line: Pick<Removed, "sort" | "what"> & Partial<Removed>): Promise<void>;
}

/** One tap, one line: count, tray, terminal and pin are taken from what stands ready. */
export function useTakingApart(screen: JobScreen, stage: Stage): TakingApart {
  const { job } = screen;
  const [ready, setReady] = useDraft<Ready>(`taking-apart:${job.jobId}`, EMPTY);
  const { post, problem, isBusy } = usePost(job.jobId);
  const keep: TakingApart["keep"] = async (line) => {
    const payload = {
      ...EMPTY_REMOVED_FACTS,
      count: Number(ready.count.replace(",", ".")),
      where: STAYS.has(line.sort) ? "" : ready.where,
      terminal: ready.terminal,
      torque: ready.torque,
      adhesive: ready.adhesive,
      pin: ready.pin,
      ...line,
      taken: screen.taken(needToTouch(line.sort)),
    };
    if (await post({ kind: "removed", stage, payload }))
      setReady({ ...EMPTY, where: ready.where, sort: ready.sort });
  };
  return { ready, problem, isBusy, keep, set: (change) => setReady({ ...ready, ...change }) };
}
