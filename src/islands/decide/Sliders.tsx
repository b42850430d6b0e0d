import type { DecisionCase } from "@/core/decision/action";
import type { Moved, Notched } from "@/core/decision/decide";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { answerLabel, type RouteNames } from "@/words/routes";
import { numbered } from "./numbered";

interface SlidersProps {
  readonly notched: readonly Notched[];
  readonly moved: Moved;
  readonly options: DecisionCase;
  readonly names: RouteNames;
  readonly currency: string;
  /** What is done first: what its price and its chance are called. */
  readonly firstLabel: string;
  onMove(id: Notched["id"], value: number): void;
}

const STEPS = 200;
/** A chance below this has no figure. */
const LEAST_NAMED = 0.05;

/** The three drivers first: what moves the answer most stands nearest to its flip. */
function nearness({ now, nearest, from, to }: Notched): number {
  return nearest ? Math.abs(nearest.at - now) / (to - from) : Number.POSITIVE_INFINITY;
}

function figureOf(id: Notched["id"], value: number, currency: string): string {
  // A chance is never said finer than it is known: to five percent, here too.
  if (id === "chance") return formatChance(Math.max(value, LEAST_NAMED));
  return formatMoney(Math.round(value), currency);
}

const labelOf = (id: Notched["id"], firstLabel: string): string =>
  ({
    rate: "An hour counts",
    machine: "Another machine costs",
    chance: `Chance that it is that: ${firstLabel}`,
    price: `Parts cost: ${firstLabel}`,
  })[id];

function FlipWords({
  one,
  value,
  options,
  names,
  currency,
}: {
  readonly one: Notched;
  readonly value: number;
  readonly options: DecisionCase;
  readonly names: RouteNames;
  readonly currency: string;
}) {
  const { id, flips } = one;
  const under = [...flips].reverse().find(({ at }) => at <= value);
  const over = flips.find(({ at }) => at > value);
  const words = [
    under && `under ${figureOf(id, under.at, currency)} ${answerLabel(under.below, options, names)}`,
    over && `from ${figureOf(id, over.at, currency)} ${answerLabel(over.above, options, names)}`,
  ].filter((said) => said !== undefined);
  if (words.length === 0) return <>The answer stays, wherever it stands.</>;
  return <>The answer flips: {words.join("; ")}.</>;
}

function SliderLine({
  one,
  value,
  ...props
}: Omit<SlidersProps, "notched" | "moved"> & {
  readonly one: Notched;
  readonly value: number;
}) {
  const { id, from, to, flips } = one;
  const { currency, firstLabel, onMove } = props;
  const shareOf = (at: number): number => (at - from) / (to - from);
  const label = labelOf(id, firstLabel);
  return (
    <div data-testid={`slider-${id}`}>
      <div className="flex items-baseline justify-between gap-3">
        <label className="label-line" htmlFor={`slide-${id}`}>
          {label}
        </label>
        <span className="num whitespace-nowrap text-lg">{figureOf(id, value, currency)}</span>
      </div>
      <div className="relative">
        <input
          id={`slide-${id}`}
          type="range"
          className="slide"
          min={0}
          max={STEPS}
          step={1}
          value={Math.round((STEPS * (value - from)) / (to - from))}
          aria-valuetext={figureOf(id, value, currency)}
          onChange={(event) => onMove(id, from + ((to - from) * Number(event.target.value)) / STEPS)}
        />
        <div className="pointer-events-none absolute inset-x-[11px] top-0 h-full" aria-hidden="true">
          {flips.map(({ at }) => (
            <span key={at} className="notch" style={{ left: `${100 * shareOf(at)}%` }} />
          ))}
        </div>
      </div>
      <div className="num relative mx-[11px] h-5 text-[13px] text-soft" aria-hidden="true">
        {numbered(
          flips.map(({ at }) => shareOf(at)),
          shareOf(value),
        ).map((share) => (
          <span
            key={share}
            className="absolute -translate-x-1/2 whitespace-nowrap"
            style={{ left: `clamp(28px, ${100 * share}%, calc(100% - 28px))` }}
          >
            {figureOf(id, from + share * (to - from), currency)}
          </span>
        ))}
      </div>
      <p className="text-soft">
        <FlipWords one={one} value={value} {...props} />
      </p>
    </div>
  );
}

const MOST = 3;

/** What drives the answer: each figure can be moved, with a notch where the answer flips. Nothing is kept by moving. */
export function Sliders({ notched, moved, ...props }: SlidersProps) {
  const drivers = [...notched].sort((one, other) => nearness(one) - nearness(other)).slice(0, MOST);
  return (
    <section aria-label="What drives it" className="mt-4">
      <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">What drives it</h2>
      <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-3">
        {drivers.map((one) => (
          <SliderLine key={one.id} one={one} value={moved[one.id] ?? one.now} {...props} />
        ))}
      </div>
    </section>
  );
}
