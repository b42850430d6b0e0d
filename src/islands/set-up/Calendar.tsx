interface CalendarProps {
  readonly calendarKey: string;
  onKey(key: string): void;
}

/** The secret address of the shop's calendar: made, shown, and made useless again. It counts once it is kept. */
export function Calendar({ calendarKey, onKey }: CalendarProps) {
  const address =
    calendarKey === "" ? "" : `${window.location.origin}/calendar.ics?key=${encodeURIComponent(calendarKey)}`;
  return (
    <section aria-label="Calendar">
      <h2 className="font-bold text-lg">Calendar</h2>
      {address === "" ? (
        <p className="text-soft">
          Days to look again, parts expected, machines on hold: for the calendar that you use.
        </p>
      ) : (
        <p className="break-all">
          <b className="num">{address}</b>{" "}
          <span className="text-soft">
            Whoever knows it sees numbers and machines, no owners. On a network the access code is asked for
            as well.
          </span>
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-3">
        <button type="button" className="btn btn-outline" onClick={() => onKey(crypto.randomUUID())}>
          {address === "" ? "Make an address" : "Another address, the old one ends"}
        </button>
        {address === "" ? null : (
          <button type="button" className="btn btn-outline" onClick={() => onKey("")}>
            No calendar
          </button>
        )}
      </p>
    </section>
  );
}
