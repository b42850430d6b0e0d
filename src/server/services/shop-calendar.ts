import { createEvents, type EventAttributes } from "ics";
import type { Standing } from "@/core/job/standing";
import { type Cursor, standingPage } from "@/server/repositories/job-facts";
import { foldedByOctets } from "./calendar-lines";
import { factsBasis } from "./own-facts";
import type { ShopContext } from "./shop-context";
import { wholeDay } from "./whole-day";

const LOT = 200;

/** What falls on a day in a job: what is to be looked at again, parts that are expected, until when it is held. */
function daysOf({ jobId, takenIn, followUps, orders, ownerSaid, signedOff }: Standing): EventAttributes[] {
  const machine = takenIn?.machine ?? "Machine";
  const looks = followUps.flatMap(({ seq, what, onDay, done }) =>
    onDay !== null && done === null ? [{ seq, what, onDay }] : [],
  );
  const parts = orders.flatMap(({ seq, part, state, expectedOn }) =>
    state === "ordered" && expectedOn !== null ? [{ seq, what: `expected: ${part}`, onDay: expectedOn }] : [],
  );
  const held =
    ownerSaid?.leadsTo === "hold" && ownerSaid.byDay !== null && !signedOff
      ? [{ seq: ownerSaid.seq, what: "held until today", onDay: ownerSaid.byDay }]
      : [];
  return [...looks, ...parts, ...held].map(({ seq, what, onDay }) =>
    wholeDay(onDay, {
      uid: `job-${jobId}-line-${seq}@good-spindle`,
      productId: "-//Good Spindle//Shop//EN",
      title: `${machine}, job ${jobId}: ${what}`,
    }),
  );
}

/** Whether this is the key that the shop's calendar has now. */
export function isCalendarKey(key: string | null, { settings }: ShopContext): boolean {
  const { calendarKey } = settings.value;
  return calendarKey !== "" && key === calendarKey;
}

/** All days of the shop as an iCalendar file: numbers and machines, nobody's name and no contact. */
export async function shopCalendar(shopContext: ShopContext): Promise<string> {
  const events: EventAttributes[] = [];
  let cursor: Cursor | undefined;
  for (;;) {
    const rows = await standingPage(
      shopContext.db,
      { isHere: true, after: cursor, limit: LOT },
      factsBasis(shopContext),
    );
    events.push(...rows.flatMap(({ standing }) => daysOf(standing)));
    cursor = rows.at(-1);
    if (rows.length < LOT) break;
  }
  const { value, error } = createEvents(events, { calName: shopContext.settings.value.shopName });
  if (error || typeof value !== "string") throw error ?? new Error("the calendar came out empty");
  return foldedByOctets(value);
}
