import type { JobView } from "@/core/job/log/reduce";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

const counted = (count: number, label: string): string => (count > 1 ? `${count} × ${label}` : label);

interface ChosenProps {
  readonly one: MatchAnswer["candidates"][number];
  readonly part: JobView["parts"][number];
  readonly job: JobView;
  /** How many are fitted together. */
  readonly fitted: number;
}

/** The part that was taken for the job: its order with its small parts, or its way back to the shelf. */
export function Chosen({ one, part, job, fitted }: ChosenProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { fromShelf, seq } = part;
  const own = counted(fitted, one.label);
  const lines = [
    ...(fromShelf ? [] : [own]),
    ...one.goesWith.map(({ count, label }) => counted(count, label)),
  ];
  const open = lines.filter(
    (line) => !job.orders.some((order) => order.part === line && order.state !== "cancelled"),
  );
  const order = async (): Promise<void> => {
    for (const line of open) {
      const payload = { part: line, state: "ordered", from: one.supplier, expectedOn: null };
      if (!(await post({ kind: "order-linked", stage: "match", payload }))) return;
    }
  };
  const putBack = (): Promise<boolean> =>
    post({ kind: "struck", stage: "match", payload: { seq, why: "back on the shelf" } });
  return (
    <>
      <p role="status" className="font-semibold text-verdigris">
        Chosen for this job{fromShelf ? `, taken from ${fromShelf.place}` : ""}.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {open.length > 0 ? (
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={order}>
            {fromShelf
              ? "Its small parts are ordered"
              : `It is ordered${one.goesWith.length > 0 ? ", with its small parts" : ""}`}
          </button>
        ) : null}
        {fromShelf ? (
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={putBack}>
            Put it back on the shelf
          </button>
        ) : null}
      </div>
      <Problem text={problem} />
    </>
  );
}
