import type { JobView } from "@/core/job/log/view";
import { orderLineOf, type ToOrder } from "@/core/matching/to-order";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface ChosenProps {
  readonly part: JobView["parts"][number];
  readonly job: JobView;
  /** What of it has to be bought, and the small parts that go with it. */
  readonly toOrder: readonly ToOrder[];
}

function orderWords(isHere: boolean, lines: number): string {
  if (isHere) return "Its small parts are ordered";
  return lines > 1 ? "It is ordered, with its small parts" : "It is ordered";
}

/** What was taken for the job: its order with the small parts, or its way back to the shelf. */
export function Chosen({ part, job, toOrder }: ChosenProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { fromShelf, seq } = part;
  const isHere = fromShelf.length > 0;
  const open = toOrder.filter(
    (line) => !job.orders.some((order) => order.part === orderLineOf(line) && order.state !== "cancelled"),
  );
  const order = async (): Promise<void> => {
    for (const line of open) {
      const payload = { part: orderLineOf(line), state: "ordered", from: line.from, expectedOn: null };
      if (!(await post({ kind: "order-linked", stage: "match", payload }))) return;
    }
  };
  const putBack = (): Promise<boolean> =>
    post({ kind: "struck", stage: "match", payload: { seq, why: "back on the shelf" } });
  return (
    <>
      <p role="status" className="font-semibold text-verdigris">
        Chosen for this job{isHere ? `, taken from ${fromShelf.map(({ place }) => place).join(", ")}` : ""}.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {open.length > 0 ? (
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={order}>
            {orderWords(isHere, open.length)}
          </button>
        ) : null}
        {isHere ? (
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={putBack}>
            Put it back on the shelf
          </button>
        ) : null}
      </div>
      <Problem text={problem} />
    </>
  );
}
