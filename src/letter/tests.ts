import type { JobView } from "@/core/job/log/view";
import { beforeAfter } from "@/core/job/sign-off/before-after";
import { finalTests } from "@/core/job/sign-off/sign-off";
import { formatReading, formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { figureName } from "@/words/figures";

const LOOKED = {
  passed: "nothing against it",
  failed: "not fit for use",
  undecided: "cannot be told",
} as const;

type Reading = NonNullable<ReturnType<typeof finalTests<JobView["deadChecks"][number]>>[number]["reading"]>;

function resultWords(reading: Reading, shop: Shop): string {
  if (reading.limit === null) return LOOKED[reading.verdict];
  const shown = reading.reading ? formatReading(reading.reading) : undefined;
  const value = shown ? `${shown.number} ${shown.unit}` : reading.entered;
  const unit = reading.reading?.kind === "value" ? reading.reading.unit : "Ω";
  const limit = formatText(reading.limit, unit);
  const isMost = reading.limitId !== null && shop.limits[reading.limitId]?.relation === "at-most";
  const held =
    reading.verdict === "passed" ? "" : reading.verdict === "failed" ? ": not met" : ": cannot be told";
  return `${value}, where ${isMost ? "at most" : "at least"} ${limit} is asked${held}`;
}

/** The tests after the work, each in a sentence, and the figures taken before and after. */
export function testSentences(view: JobView, shop: Shop): string[] {
  const tests = finalTests(view, shop).flatMap(({ checkId, reading }) => {
    if (!reading) return [];
    const label = shop.deadChecks.find(({ id }) => id === reading.checkId)?.label ?? checkId;
    const late = reading.taken === "afterwards" ? " (written down afterwards)" : "";
    return [`${label}: ${resultWords(reading, shop)}${late}.`];
  });
  const pairs = beforeAfter(view).flatMap((row) =>
    row.before === undefined || row.after === undefined
      ? []
      : [
          `${figureName(row, shop)}: ${formatText(row.before, row.unit)} before, ${formatText(row.after, row.unit)} after the repair.`,
        ],
  );
  return [...tests, ...pairs];
}
