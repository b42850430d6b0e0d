import type { JobView } from "@/core/job/log/view";
import { formatDay, formatInstant } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useAnchored } from "../frame/anchor";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

interface OrdersProps {
  readonly job: JobView;
  readonly shop: Shop;
}

type Order = JobView["orders"][number];

const STATE_WORDS: Readonly<Record<Order["state"], string>> = {
  ordered: "Ordered",
  arrived: "Arrived",
  cancelled: "Not coming",
};

function Line({ order, job, shop }: OrdersProps & { readonly order: Order }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { part, state, from, expectedOn, at } = order;
  const settle = (next: "arrived" | "cancelled") => (): void => {
    void post({
      kind: "order-linked",
      stage: "match",
      payload: { part, state: next, from, expectedOn },
    });
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-rule border-t py-2">
      <span className="min-w-0 grow">
        <b>{part}</b>
        <span className="block text-soft">
          {STATE_WORDS[state]} {formatInstant(at, shop.settings.zone)}
          {from ? ` · ${from}` : ""}
          {state === "ordered" && expectedOn ? ` · expected ${formatDay(expectedOn)}` : ""}
        </span>
      </span>
      {state === "ordered" ? (
        <>
          <button type="button" className="btn btn-primary" disabled={isBusy} onClick={settle("arrived")}>
            It has arrived
          </button>
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={settle("cancelled")}>
            It is not coming
          </button>
        </>
      ) : null}
      <Problem text={problem} />
    </li>
  );
}

interface OrderDraft {
  /** Undefined while the part that was chosen stands there by itself. */
  readonly part?: string;
  readonly from: string;
  readonly expectedOn: string;
}

const EMPTY: OrderDraft = { from: "", expectedOn: "" };

/** A part that has to be bought: which, from whom, expected when. */
function Ask({ job }: Pick<OrdersProps, "job">) {
  const waiting = new Set(job.orders.filter(({ state }) => state !== "cancelled").map(({ part }) => part));
  const suggested =
    job.parts.find(({ label, fromShelf }) => fromShelf.length === 0 && !waiting.has(label))?.label ?? "";
  const { post, problem, isBusy } = usePost(job.jobId);
  const [draft, setDraft, clear] = useDraft<OrderDraft>(`order:${job.jobId}`, EMPTY);
  const set = (change: Partial<OrderDraft>): void => setDraft({ ...draft, ...change });
  const { part, from, expectedOn } = draft;
  const name = part ?? suggested;
  const order = async (): Promise<void> => {
    const payload = { part: name.trim(), state: "ordered", from, expectedOn: expectedOn || null };
    if (await post({ kind: "order-linked", stage: "match", payload })) clear();
  };
  return (
    <form
      className="grid gap-3 py-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,200px)_180px_auto] sm:items-end"
      onSubmit={(event) => {
        event.preventDefault();
        void order();
      }}
    >
      <Field label="Part to order">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={name}
            onChange={(event) => set({ part: event.target.value })}
          />
        )}
      </Field>
      <Field label="From">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={from}
            onChange={(event) => set({ from: event.target.value })}
          />
        )}
      </Field>
      <Field label="Expected on">
        {(ids) => (
          <input
            {...ids}
            type="date"
            className="input"
            value={expectedOn}
            onChange={(event) => set({ expectedOn: event.target.value })}
          />
        )}
      </Field>
      <button type="submit" className="btn btn-outline" disabled={isBusy || name.trim() === ""}>
        It is ordered
      </button>
      <div className="sm:col-span-4 empty:hidden">
        <Problem text={problem} />
      </div>
    </form>
  );
}

/** Parts that had to be bought for this job, each from its order to its arrival. */
export function Orders({ job, shop }: OrdersProps) {
  const { ref } = useAnchored("orders");
  return (
    <section ref={ref} aria-label="Orders" className="mt-6 scroll-mt-4">
      <h2 className="flex flex-wrap items-center gap-x-4 border-ring border-b-2 font-semibold text-soft">
        <span className="grow">Parts on order</span>
        <a
          className="inline-flex min-h-11 items-center font-normal text-teal underline underline-offset-4"
          href="/orders"
        >
          All that is on order
        </a>
      </h2>
      <ul>
        {job.orders.map((order) => (
          <Line key={order.part} order={order} job={job} shop={shop} />
        ))}
      </ul>
      <Ask key={job.orders.length} job={job} />
    </section>
  );
}
