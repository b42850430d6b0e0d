import { QUANTITIES } from "@/core/quantity/reading";
import { type MeterWanted, useMeter } from "../state/use-meter";

interface FromMeterProps {
  readonly wanted: MeterWanted;
  /** What it is about, such as a pair of leads. */
  readonly about?: string;
  onSteady(typed: string): void;
}

/** Takes a reading from the meter itself: shown as it comes, handed over once it has stood still for two seconds. */
export function FromMeter({ wanted, about, onSteady }: FromMeterProps) {
  const { isOn, shown, problem, start, stop } = useMeter(wanted, onSteady);
  const { symbol } = QUANTITIES[wanted.quantity].bare;
  return (
    <div className="my-1.5 flex min-h-11 flex-wrap items-center gap-x-3" data-testid="from-meter">
      {isOn ? (
        <>
          <span role="status" className="num font-semibold text-xl">
            {shown === undefined ? "…" : /\d$/.test(shown) ? `${shown} ${symbol}` : shown}
          </span>
          <span className="text-soft">hold it still for two seconds</span>
          <button type="button" className="min-h-11 text-teal underline underline-offset-4" onClick={stop}>
            stop
          </button>
        </>
      ) : (
        <button type="button" className="min-h-11 text-teal underline underline-offset-4" onClick={start}>
          From the meter{about ? `: ${about}` : ""}
        </button>
      )}
      {problem ? <span className="font-semibold text-brass">{problem}</span> : null}
    </div>
  );
}
