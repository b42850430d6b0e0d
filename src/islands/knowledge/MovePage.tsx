import type { Move } from "@/core/knowledge/types";
import { whenText } from "@/core/knowledge/when";
import { caseWords } from "./entries";

const NEEDS: Readonly<Record<Move["needs"], string>> = {
  none: "Nothing to make safe",
  "plug-out": "Plug out",
  held: "Plug out, springs and load held",
  turning: "Plug out, load held, blades blocked",
  "hands-inside": "Plug out, held and drained: hands go inside",
  "turning-inside": "Plug out, held and drained, blades blocked: hands go inside",
};
const POWER: Readonly<Record<Move["power"], string>> = {
  off: "",
  "guards-on": " · power on, guards on, hands off",
  measured: " · power on, leads fitted unplugged, hands off",
  leakage: " · power on, guards on, hands off",
  licensed: " · power on with a cover off: for a licensed person",
};

interface MoveProps {
  readonly move: Move;
  /** Names of the families it is a move for. */
  readonly families: readonly string[];
}

const share = (value: number): string => value.toFixed(3).replace(/0$/, "");

/** One standard deviation either way of a log-normal ratio: two thirds of all lie within. Dimensionless. */
const twoInThree = (median: number, spread: number): string =>
  `${(median * Math.exp(-spread)).toFixed(2)} to ${(median * Math.exp(spread)).toFixed(2)}`;

function Chances({ move, chances }: { readonly move: Move; readonly chances: Move["cases"][number] }) {
  return (
    <table className="mt-1 w-full">
      <thead>
        <tr className="text-left text-soft">
          <th className="font-normal">Answer</th>
          <th className="w-16 text-right font-normal sm:w-20">Chance</th>
          <th className="w-40 text-right font-normal sm:w-48">Range</th>
        </tr>
      </thead>
      <tbody>
        {Object.entries(chances.chances).map(([id, { p, low, high }]) => (
          <tr key={id} className="border-rule border-t">
            <td className="py-1.5">{move.answers[id] ?? id}</td>
            <td className="num text-right">{share(p)}</td>
            <td className="num text-right text-soft">
              {share(low)} to {share(high)}
            </td>
          </tr>
        ))}
        {chances.unjudged > 0 ? (
          <tr className="border-rule border-t text-soft">
            <td className="py-1.5">Given to no answer: shared by all in proportion</td>
            <td className="num text-right">{share(chances.unjudged)}</td>
            <td />
          </tr>
        ) : null}
      </tbody>
    </table>
  );
}

/** A move as its page: how it is done, and how likely each answer is in each case. */
export function MovePage({ move, families }: MoveProps) {
  return (
    <>
      <p className="mt-1 text-lg">{move.how}</p>
      {move.setting ? <p>Meter on {move.setting}.</p> : null}
      {move.pitfalls.map((pitfall) => (
        <p key={pitfall}>{pitfall}</p>
      ))}
      <p className="mt-1 text-soft">
        {move.minutes} min · {NEEDS[move.needs]}
        {POWER[move.power]} · for {families.join("; ").toLowerCase()}
      </p>
      <h2 className="mt-5 font-semibold text-xl">How likely each answer is</h2>
      <p className="text-soft">
        The first case that holds decides; chances of a case add up to one. The range is where a chance may
        lie: 30 % either way, unless it was judged apart.
      </p>
      <div className="mt-2 grid gap-x-10 gap-y-5 lg:grid-cols-2">
        {move.cases.map((one) => {
          const key = whenText(one.when);
          return (
            <section key={key} id={key.replaceAll(" ", "-")} aria-label={caseWords(key)}>
              <h3 className="border-ring border-b-2 font-semibold">{caseWords(key)}</h3>
              <Chances move={move} chances={one} />
            </section>
          );
        })}
      </div>
      {move.number ? (
        <p className="mt-4 text-soft">
          The {move.number.quantity} itself counts too, as a ratio to the mark:{" "}
          {move.number.cases
            .map(
              ({ when, median, spread }) =>
                `${caseWords(whenText(when)).toLowerCase()} about ${median}, two times in three from ${twoInThree(median, spread)}`,
            )
            .join("; ")}
          .
        </p>
      ) : null}
    </>
  );
}
