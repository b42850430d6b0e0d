import { lazy, Suspense } from "react";
import type { JobView } from "@/core/job/log/view";
import { formatInstant, formatPercent, formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { useEarlierJob } from "../state/use-earlier-job";
import { driftPoints } from "./drift-points";

// The chart's package is fetched with the first chart: most pages have none.
const DriftChart = lazy(() => import("./DriftChart").then((module) => ({ default: module.DriftChart })));

interface DriftProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly last: JobView["readings"][number];
}

/** What the same part read before, on this machine: a line over the days, and its table. One reading is no drift. */
export function Drift({ job, shop, last }: DriftProps) {
  const earlier = useEarlierJob(job);
  const isSame = job.takenIn?.from?.as === "same";
  const points = driftPoints([job, ...(earlier && isSame ? [earlier] : [])], last);
  const [first] = points;
  const newest = points.at(-1);
  const figure = last.finding.figures[0];
  if (!first || !newest || !figure || points.length < 2) return null;
  const change = newest.value / first.value - 1;
  return (
    <section aria-label="Over time" className="mt-3 border-rule border-t pt-3" data-testid="drift">
      <h2 className="font-semibold text-soft">
        Over time:{" "}
        {Math.abs(change) < 0.005
          ? "unchanged"
          : `${formatPercent(Math.abs(change))} ${change < 0 ? "less" : "more"}`}{" "}
        than at first
      </h2>
      <Suspense fallback={null}>
        <DriftChart points={points} unit={figure.unit} limit={figure.limit} />
      </Suspense>
      <table className="mt-1">
        <thead>
          <tr className="text-left text-soft">
            <th className="pr-6 font-normal">When</th>
            <th className="pr-6 font-normal">Job</th>
            <th className="font-normal">Reading</th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ at, value, jobId }) => (
            <tr key={`${jobId} ${at}`}>
              <td className="pr-6">{formatInstant(at, shop.settings.zone)}</td>
              <td className="num pr-6">{jobId}</td>
              <td className="num font-semibold">{formatText(value, figure.unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
