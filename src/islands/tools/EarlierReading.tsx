import type { JobView } from "@/core/job/log/view";
import { dayIn, formatDay } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { useEarlierJob } from "../state/use-earlier-job";
import { keyReading } from "./given";

interface EarlierProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly moveId: string | undefined;
}

/** What the same reading was when it was good: on this machine before, or on its twin. */
export function EarlierReading({ job, shop, moveId }: EarlierProps) {
  const earlier = useEarlierJob(job);
  const good = earlier?.readings.findLast((one) => one.moveId === moveId && one.finding.verdict === "sound");
  const from = job.takenIn?.from;
  if (!good || !from) return null;
  return (
    <p className="mb-2 text-soft" data-testid="earlier-reading">
      <b className="num font-semibold text-ink">{keyReading(good.finding)}</b> and sound in job {from.jobId},{" "}
      {from.as === "same" ? "this machine" : "its twin"}, {formatDay(dayIn(good.at, shop.settings.zone))}.
    </p>
  );
}
