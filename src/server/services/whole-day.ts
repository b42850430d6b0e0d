import type { EventAttributes } from "ics";

/** Something on a day, as a whole-day event: a day has no zone, so it is the same day in every calendar. */
export function wholeDay(
  onDay: string,
  said: Pick<EventAttributes, "uid" | "productId" | "title" | "description">,
): EventAttributes {
  const [year = 0, month = 0, day = 0] = onDay.split("-").map(Number);
  const next = new Date(Date.UTC(year, month - 1, day + 1));
  return {
    ...said,
    start: [year, month, day],
    // A whole day ends where the next one begins (RFC 5545).
    end: [next.getUTCFullYear(), next.getUTCMonth() + 1, next.getUTCDate()],
    busyStatus: "FREE",
    transp: "TRANSPARENT",
  };
}
