import { createEvents, type EventAttributes } from "ics";
import type { JobView } from "@/core/job/log/view";
import type { Promised } from "@/core/job/reassembly/reassembly";
import { foldedByOctets } from "./calendar-lines";
import { wholeDay } from "./whole-day";

interface Whose {
  readonly shopName: string;
  readonly ownerName: string;
}

function conditionsOf({ belowCelsius, afterHours, condition }: Promised): string {
  return [
    belowCelsius === null ? "" : `Only below ${belowCelsius} °C.`,
    afterHours === null ? "" : `After ${afterHours} h of running.`,
    condition,
  ]
    .filter((part) => part !== "")
    .join(" ");
}

/** A promise with a day, in a calendar. */
function eventOf(
  job: JobView,
  promise: Promised,
  onDay: string,
  { shopName, ownerName }: Whose,
): EventAttributes {
  const machine = job.takenIn?.machine ?? "Machine";
  return wholeDay(onDay, {
    uid: `job-${job.jobId}-line-${promise.seq}@good-spindle`,
    productId: "-//Good Spindle//Looking again//EN",
    title: `${machine}, job ${job.jobId}: ${promise.what}`,
    description: [conditionsOf(promise), ownerName ? `Owner: ${ownerName}.` : "", shopName]
      .filter((part) => part !== "")
      .join(" "),
  });
}

/** The promises of a job that have a day and are still open, as an iCalendar file; undefined where there is none. */
export function jobCalendar(job: JobView, whose: Whose): string | undefined {
  const events = job.followUps.flatMap((promise) =>
    promise.onDay !== null && promise.done === null ? [eventOf(job, promise, promise.onDay, whose)] : [],
  );
  if (events.length === 0) return undefined;
  const { value, error } = createEvents(events, { calName: whose.shopName });
  if (error || !value) throw error ?? new Error("the calendar came out empty");
  return foldedByOctets(value);
}
