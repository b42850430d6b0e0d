import { type ReactNode, useState } from "react";
import type { Decision } from "@/core/decision/decide";
import type { Route } from "@/core/decision/routes";
import { isEnd } from "@/core/decision/schools";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { actionLabel, type RouteNames, routeLabel } from "@/words/routes";

interface ShaftProps {
  readonly route: Route;
  readonly scale: number;
  readonly isBest: boolean;
  readonly currency: string;
  readonly names: RouteNames;
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
  // Days without the machine are time too; what fails next is bought.
  const time = route.time + route.waiting;
  const cash = route.cash + route.later;
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
        style={{ left: percent(time, scale), width: percent(cash, scale) }}
      />
    </div>
  );
}

/** A step that is made more seldom is not spoken of. */
const LEAST_TOLD = 0.05;

function howItGoes({ id, steps, wrong, givesUp, end }: Route, names: RouteNames): string {
  if (id === "replace") return "Bought at once; nothing more is found out";
  if (id === "second-hand") return `${formatChance(end.success)} that it runs as it was said to`;
  if (id === "trade") return `${formatChance(end.success)} that they cure it`;
  if (id === "stop") return "Its owner goes without it: that counts as what it is worth to them";
  if (id === "measure") return "What is done then hangs on what it reads";
  const likely = steps.slice(1).filter(({ made }) => made >= LEAST_TOLD);
  const then = likely.slice(0, 2).map(({ action }) => inSentence(actionLabel(action, names)));
  const rest = likely.length - then.length;
  return [
    `${formatChance(1 - wrong)} to end it`,
    ...(then.length > 0 ? [`if not, ${then.join(", then ")}${rest > 0 ? ` and ${rest} more` : ""}`] : []),
    ...(givesUp >= LEAST_TOLD ? [`${formatChance(givesUp)} that none of it does`] : []),
  ].join("; ");
}

function Steps({ route, names, currency }: Pick<ShaftProps, "route" | "names" | "currency">) {
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  return (
    <p className="text-soft">
      {howItGoes(route, names)}.{" "}
      <span className="whitespace-nowrap">
        {isSpread(route)
          ? `Eight in ten: ${money(route.low)} to ${money(route.high)}.`
          : `Mostly ${money(route.low)}.`}
      </span>
    </p>
  );
}

function Line(props: ShaftProps) {
  const { route, isBest, currency, names, onTake } = props;
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-rule border-t py-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_130px_150px]">
      <div>
        <h2 className={`text-lg leading-tight ${isBest ? "font-bold" : "font-semibold"}`}>
          {routeLabel(route, names)}
        </h2>
        <Steps route={route} names={names} currency={currency} />
      </div>
      <Shaft {...props} />
      <span className="num text-2xl lg:text-right" data-testid={`mean-${route.id}`}>
        {formatMoney(Math.round(route.mean), currency)}
      </span>
      {isBest ? (
        <span className="font-semibold text-soft">the best way</span>
      ) : (
        <button type="button" className="btn btn-outline" onClick={() => onTake(route)}>
          Take this instead
        </button>
      )}
    </li>
  );
}

/** Routes that are shown at once; the others stand behind a key. */
const SHOWN = 4;

/** The first few, and the way to another machine: there is always that one to hold a repair against. */
function shownFirst(routes: readonly Route[]): readonly Route[] {
  const head = routes.slice(0, SHOWN);
  if (head.some(isEnd)) return head;
  const end = routes.find(isEnd);
  return end ? [...head.slice(0, SHOWN - 1), end] : head;
}

function Legend({ children }: { readonly children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-5 border-rule border-t pt-2">
      <p className="flex flex-wrap gap-x-5 text-soft" aria-hidden="true">
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
      {children}
    </div>
  );
}

/** The routes as shafts from a common zero. */
export function RouteShafts({
  decision,
  ...props
}: Omit<ShaftProps, "route" | "scale" | "isBest"> & { readonly decision: Decision }) {
  const [isAll, setIsAll] = useState(false);
  const all = decision.routes;
  const shown = isAll ? all : shownFirst(all);
  const scale = Math.max(1, ...shown.map(({ high, mean }) => Math.max(high, mean)));
  return (
    <section aria-label="Routes" className="mt-4">
      <ul>
        {shown.map((route) => (
          <Line
            key={route.id}
            {...props}
            route={route}
            scale={scale}
            isBest={route.id === decision.best.id}
          />
        ))}
      </ul>
      <Legend>
        {all.length > shown.length || isAll ? (
          <button
            type="button"
            className="min-h-11 text-teal underline underline-offset-4"
            aria-expanded={isAll}
            onClick={() => setIsAll(!isAll)}
          >
            {isAll ? "Only the first" : `All ${all.length} routes`}
          </button>
        ) : null}
      </Legend>
    </section>
  );
}
