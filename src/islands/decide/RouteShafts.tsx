import type { Decision } from "@/core/decision/decide";
import type { Route } from "@/core/decision/routes";
import type { Repair } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { routeLabel, stepLabel } from "../words/routes";

interface ShaftProps {
  readonly route: Route;
  readonly scale: number;
  readonly isBest: boolean;
  readonly currency: string;
  readonly repairs: readonly Repair[];
  readonly isBusy: boolean;
  onTake(route: Route): void;
}

function isSpread({ low, high }: Route): boolean {
  return high - low >= 1;
}

function percent(minor: number, scale: number): string {
  return `${(100 * minor) / scale}%`;
}

/** Thick to the mean, time and money told apart by their texture; thin over the middle eight in ten cases. */
function Shaft({ route, scale }: Pick<ShaftProps, "route" | "scale">) {
  const time = route.mean - route.cash;
  return (
    <div className="relative h-9" aria-hidden="true">
      {isSpread(route) ? (
        <>
          <span
            className="absolute top-[16px] h-[4px] bg-ring"
            style={{ left: percent(route.low, scale), width: percent(route.high - route.low, scale) }}
          />
          {[route.low, route.high].map((end, index) => (
            <span
              key={index === 0 ? "low" : "high"}
              className="absolute top-[10px] h-4 w-[3px] bg-ring"
              style={{ left: `calc(${percent(end, scale)} - 1px)` }}
            />
          ))}
        </>
      ) : null}
      <span className="absolute top-1 left-0 h-7 bg-ink" style={{ width: percent(time, scale) }} />
      <span
        className="cash absolute top-1 h-7 border-[1.5px] border-ink"
        style={{ left: percent(time, scale), width: percent(route.cash, scale) }}
      />
    </div>
  );
}

function Steps({ route, repairs, currency }: Pick<ShaftProps, "route" | "repairs" | "currency">) {
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  if (route.id === "replace") return <p className="text-soft">Bought at once; nothing more is found out.</p>;
  const then = route.steps.slice(1, 3).map((step) => stepLabel(step.repairs, repairs).toLowerCase());
  const rest = route.steps.length - 3;
  return (
    <p className="text-soft">
      {formatChance(1 - route.wrong)} to end it
      {then.length > 0 ? `; if not, ${then.join(", then ")}` : ""}
      {rest > 0 ? ` and ${rest} more` : ""}
      {route.givesUp >= 0.05 ? `; ${formatChance(route.givesUp)} to end at another machine` : ""}.{" "}
      <span className="whitespace-nowrap">
        {isSpread(route)
          ? `Eight in ten: ${money(route.low)} to ${money(route.high)}.`
          : `Mostly ${money(route.low)}.`}
      </span>
    </p>
  );
}

function Line(props: ShaftProps) {
  const { route, isBest, currency, repairs, isBusy, onTake } = props;
  const isEmpty = route.id === "part" && route.steps.length === 0;
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-rule border-t py-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_130px_150px]">
      <div>
        <h2 className={`text-lg leading-tight ${isBest ? "font-bold" : "font-semibold"}`}>
          {routeLabel(route, repairs)}
        </h2>
        {isEmpty ? null : <Steps route={route} repairs={repairs} currency={currency} />}
      </div>
      {isEmpty ? <span /> : <Shaft {...props} />}
      <span className="num text-2xl lg:text-right" data-testid={`mean-${route.id}`}>
        {formatMoney(Math.round(route.mean), currency)}
      </span>
      {isEmpty || isBest ? (
        <span className="font-semibold text-soft">{isBest ? "the cheapest" : ""}</span>
      ) : (
        <button type="button" className="btn btn-outline" disabled={isBusy} onClick={() => onTake(route)}>
          Take this instead
        </button>
      )}
    </li>
  );
}

/** The routes as shafts from a common zero. */
export function RouteShafts({
  decision,
  ...props
}: Omit<ShaftProps, "route" | "scale" | "isBest"> & { readonly decision: Decision }) {
  const all = Object.values(decision.routes);
  const scale = Math.max(1, ...all.map(({ high, mean }) => Math.max(high, mean)));
  return (
    <section aria-label="Routes" className="mt-4">
      <ul>
        {all.map((route) => (
          <Line
            key={route.id}
            {...props}
            route={route}
            scale={scale}
            isBest={route.id === decision.best.id}
          />
        ))}
      </ul>
      <p className="flex flex-wrap gap-x-5 border-rule border-t pt-2 text-soft" aria-hidden="true">
        <span className="flex items-center gap-2">
          <span className="inline-block h-4 w-7 bg-ink" /> time
        </span>
        <span className="flex items-center gap-2">
          <span className="cash inline-block h-4 w-7 border-[1.5px] border-ink" /> parts and machines
        </span>
        <span className="flex items-center gap-2">
          <span className="inline-block h-1 w-7 bg-ring" /> eight in ten end here
        </span>
      </p>
    </section>
  );
}
