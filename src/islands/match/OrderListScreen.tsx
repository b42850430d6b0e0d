import { type OrderLine, orderText } from "@/core/job/order-list";
import { formatDay } from "@/core/quantity/format";
import { PlainFrame } from "../frame/PlainFrame";

interface OrderListProps {
  readonly shopName: string;
  readonly lines: readonly OrderLine[];
}

/** All that is on order, by who sends it: to be sent as text, printed, or held against a parcel. */
export function OrderListScreen({ shopName, lines }: OrderListProps) {
  const suppliers = [...new Set(lines.map(({ from }) => from))];
  const text = `data:text/plain;charset=utf-8,${encodeURIComponent(`${shopName}\n\n${orderText(lines)}\n`)}`;
  return (
    <PlainFrame path="/parts">
      <div className="flex flex-wrap items-center gap-4">
        <h1 className="grow font-bold text-[28px] leading-tight">On order</h1>
        {lines.length > 0 ? (
          <p className="no-print flex flex-wrap gap-3">
            <button type="button" className="btn btn-outline" onClick={() => window.print()}>
              Print
            </button>
            <a className="btn btn-outline" download="order.txt" href={text}>
              As text
            </a>
          </p>
        ) : null}
      </div>
      {lines.length === 0 ? (
        <p className="mt-3 text-lg text-soft">
          Nothing is on order. What is ordered in a job’s Match stands here, with its small parts.
        </p>
      ) : null}
      {suppliers.map((supplier) => (
        <section key={supplier} aria-label={supplier || "From nobody named"} className="mt-5">
          <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">
            {supplier || "From nobody named"}
          </h2>
          <ul>
            {lines
              .filter(({ from }) => from === supplier)
              .map(({ part, jobId, machine, expectedOn }) => (
                <li
                  key={`${jobId} ${part}`}
                  className="grid min-h-11 items-center gap-x-4 border-rule border-t py-1.5 md:grid-cols-[minmax(0,1fr)_260px_160px]"
                >
                  <b>{part}</b>
                  <a
                    className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                    href={`/jobs/${jobId}/match`}
                  >
                    Job {jobId} {machine}
                  </a>
                  <span className="text-soft">{expectedOn ? `expected ${formatDay(expectedOn)}` : ""}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </PlainFrame>
  );
}
