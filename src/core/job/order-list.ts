import type { JobView } from "./log/view";

/** A part that was ordered and has not come yet, and the job it is for. */
export interface OrderLine {
  readonly part: string;
  readonly from: string;
  readonly expectedOn: string | null;
  readonly jobId: number;
  readonly machine: string;
}

/** What is on order for jobs, by who sends it and then by job: one list to send, and one to check a parcel against. */
export function orderList(
  jobs: readonly Pick<JobView, "jobId" | "orders" | "takenIn">[],
): readonly OrderLine[] {
  return jobs
    .flatMap(({ jobId, orders, takenIn }) =>
      orders
        .filter(({ state }) => state === "ordered")
        .map(({ part, from, expectedOn }) => ({
          part,
          from,
          expectedOn,
          jobId,
          machine: takenIn?.machine ?? "",
        })),
    )
    .sort((one, other) => one.from.localeCompare(other.from) || one.jobId - other.jobId);
}

/** The list as plain text, a line a part, to be sent as it is. */
export function orderText(lines: readonly OrderLine[]): string {
  const suppliers = [...new Set(lines.map(({ from }) => from))];
  return suppliers
    .map((supplier) => {
      const own = lines.filter(({ from }) => from === supplier);
      const rows = own.map(({ part, jobId, machine }) => `${part}  (job ${jobId}, ${machine})`);
      return [supplier === "" ? "From nobody named" : supplier, ...rows].join("\n");
    })
    .join("\n\n");
}
