import type { JobView } from "@/core/job/log/view";
import { isNotToBeUsed } from "@/core/job/sign-off/word-now";
import { dayIn, formatDay } from "@/core/quantity/format";
import { withholding } from "@/core/safety/dangers/danger";
import type { Shop } from "@/core/shop/shop";
import { withShop } from "../frame/with-shop";

interface TagProps {
  readonly job: JobView;
  readonly ownerName: string;
  readonly shop: Shop;
  /** The job's address as a QR code, a data URL. */
  readonly code: string;
}

/** A machine that leaves unsafe carries it where nobody can miss it. */
function DoNotUse() {
  return (
    <div className="hatched mb-3 border-2 border-ink p-3" data-testid="do-not-use">
      <p className="bg-paper px-3 py-2 text-center font-bold text-[44px] leading-none">DO NOT USE</p>
      <p className="bg-paper px-3 pb-2 text-center font-semibold">Do not plug in. Ask the shop first.</p>
    </div>
  );
}

/** The tag of a machine: its number, and a code that opens its job. Printed on card, cut out, tied on. */
export const TagScreen = withShop(function TagScreen({ job, ownerName, shop, code }: TagProps) {
  const { takenIn } = job;
  // Also while it waits on the bench: whoever comes by reads the tag, not the job.
  const isUnsafe = isNotToBeUsed(job, shop) || withholding(job.live.dangers, "use").length > 0;
  return (
    <main className="px-4 py-4">
      <p className="no-print mb-4 flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary" onClick={() => window.print()}>
          Print
        </button>
        <a className="btn btn-outline" href={`/jobs/${job.jobId}/take-in`}>
          Back to the job
        </a>
      </p>
      <article aria-label="Tag" className="w-[340px] border-2 border-ink p-4">
        <span className="mx-auto mb-2 block h-6 w-6 rounded-full border-2 border-ink" aria-hidden="true" />
        {isUnsafe ? <DoNotUse /> : null}
        <h1 className="flex items-baseline justify-between font-bold">
          <span className="num text-[64px] leading-none">{job.jobId}</span>
          <span className="text-right text-lg">
            {takenIn ? formatDay(dayIn(takenIn.at, shop.settings.zone)) : ""}
          </span>
        </h1>
        <p className="mt-1 font-bold text-[22px] leading-tight">{takenIn?.machine}</p>
        <p className="text-lg">{[takenIn?.tag, takenIn?.place].filter((part) => part).join(" · ")}</p>
        <p>{ownerName}</p>
        <img src={code} alt={`Opens job ${job.jobId}`} width={220} height={220} className="mx-auto mt-3" />
        <p className="mt-2 text-center text-soft">{shop.settings.shopName}</p>
      </article>
    </main>
  );
});
