import type { StageMinutes } from "@/core/decision/action";
import type { Decision } from "@/core/decision/decide";
import type { Route } from "@/core/decision/routes";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { type RouteNames, routeLabel, WARRANTY } from "@/words/routes";
import { Fold } from "../fields/Fold";

interface PictureProps {
  readonly decision: Decision;
  readonly names: RouteNames;
  readonly currency: string;
  /** To close again what stands open. */
  readonly closingMinutes: number;
}

/** Minutes by what they go into, those that are none left out. */
function stagesText({ access, work, refit, tests }: StageMinutes): string {
  return (
    [
      [access, "to open"],
      [work, "work"],
      [refit, "to close"],
      [tests, "run"],
    ] as const
  )
    .filter(([minutes]) => minutes >= 0.5)
    .map(([minutes, what]) => `${Math.round(minutes)} min ${what}`)
    .join(", ");
}

function rowsOf(route: Route, { best, hindsight }: Decision, money: (minor: number) => string) {
  const { cash, time, waiting, later, wrong, years, perYear, mean, steps } = route;
  const over = mean - best.mean;
  const stages = steps[0]?.action.stages;
  const tool = steps.reduce((sum, { made, action }) => sum + made * (action.toolMinor ?? 0), 0);
  return [
    ["parts and machines", money(cash)],
    ...(tool >= 1 ? [["of it a tool to buy", money(tool)]] : []),
    ["time", money(time)],
    ...(stages ? [["first step", stagesText(stages)]] : []),
    ...(waiting >= 1 ? [["waiting", money(waiting)]] : []),
    ...(later <= -1 ? [["saved on what fails next", money(-later)]] : []),
    ...(steps.length > 0 ? [["ends it at once", formatChance(1 - wrong)]] : []),
    ["years after it", years < 0.05 ? "none" : years.toFixed(1)],
    ["a year", perYear === null ? "–" : money(perYear)],
    ["warranty", WARRANTY[route.id]],
    ["above the best", over < 0.5 ? "–" : money(over)],
    ["above knowing the cause", money(Math.max(0, mean - hindsight))],
  ] as const;
}

/** Every route with what it is made of, on demand. */
export function WholePicture({ decision, names, currency, closingMinutes }: PictureProps) {
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  const knowing = Math.max(0, decision.best.mean - decision.hindsight);
  return (
    <Fold
      title="The whole picture"
      holds={`${decision.routes.length} routes; knowing the cause would save ${money(knowing)}`}
    >
      <p className="text-soft">
        If the cause were known, it would cost {money(decision.hindsight)} on average: to know it is worth{" "}
        {money(knowing)}, and no measurement is worth more. Years count with interest; parts carry mark-up and
        postage.
        {closingMinutes >= 1
          ? ` ${Math.round(closingMinutes)} min to close what stands open are in none of them: that is owed whatever is done.`
          : ""}
      </p>
      <ul data-testid="whole-picture">
        {decision.routes.map((route) => (
          <li key={route.id} className="border-rule border-t py-2">
            <p className="flex flex-wrap justify-between gap-x-4 font-semibold">
              <span>{routeLabel(route, names)}</span>
              <span className="num">{money(route.mean)}</span>
            </p>
            <dl className="flex flex-wrap gap-x-5 gap-y-0.5">
              {rowsOf(route, decision, money).map(([label, value]) => (
                <div key={label} className="flex gap-1.5">
                  <dt className="text-soft">{label}</dt>
                  <dd className="num">{value}</dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
