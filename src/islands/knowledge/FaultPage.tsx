import type { ReactNode } from "react";
import type { Names } from "@/core/knowledge/page-of";
import type { Fault } from "@/core/knowledge/types";
import { addressOf } from "./entries";

interface FaultProps {
  readonly fault: Fault;
  readonly names: Names;
  /** Moves with a case that asks for one of its signs. */
  readonly askedBy: readonly string[];
}

const LINK = "inline-flex min-h-11 items-center text-teal underline underline-offset-4";
const share = (value: number): string => value.toFixed(3).replace(/0+$/, "").replace(/\.$/, "");
const plain = (id: string): string => id.replaceAll("-", " ");
const WHEN: Readonly<Record<Fault["does"][number]["circumstance"], string>> = {
  any: "Always",
  cold: "Cold",
  hot: "Hot",
  loaded: "Under load",
  wet: "Wet",
};

/** Shares or chances that differ by kind of motor, the rest first. */
function byFamily(all: number | undefined, others: Readonly<Record<string, number>>, names: Names): string {
  const own = Object.entries(others).map(
    ([family, one]) => `${names.families[family] ?? family} ${share(one)}`,
  );
  return [...(all === undefined ? [] : [share(all)]), ...own].join("; ");
}

/** The ways in which it shows: they exclude each other, and one machine shows one of them. */
function Modes({ modes, names }: Pick<Fault, "modes"> & { readonly names: Names }) {
  return modes.map(({ id, share: { all, ...others }, does, shows }) => (
    <div key={id} className="mt-2" data-testid="mode">
      <p>
        <b className="font-medium">{plain(id)}</b>, share of its cases {byFamily(all, others, names)}
        {shows === undefined ? "" : `; it shows in ${share(shows)} of powered runs only`}
      </p>
      <Does does={does} />
    </div>
  ));
}

function Does({ does }: Pick<Fault, "does">) {
  const lines = does.flatMap(({ circumstance, sets, signs }) => {
    const made = Object.entries(sets).map(([condition, is]) => `${plain(condition)} is ${plain(is)}`);
    const seen = signs.map((sign) => `can be told by: ${plain(sign)}`);
    return made.length + seen.length > 0 ? [`${WHEN[circumstance]}: ${[...made, ...seen].join("; ")}`] : [];
  });
  if (lines.length === 0) return <p>It does nothing that a move could find.</p>;
  return (
    <ul>
      {lines.map((line) => (
        <li key={line}>{line}.</li>
      ))}
    </ul>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mt-4" aria-label={title}>
      <h2 className="border-ring border-b-2 font-semibold">{title}</h2>
      <div className="pt-1">{children}</div>
    </section>
  );
}

/** A fault as its page: how often, what it does, what it leads to, what proves and what cures it. */
export function FaultPage({ fault, names, askedBy }: FaultProps) {
  return (
    <div className="grid gap-x-10 lg:grid-cols-2">
      <div>
        <p className="mt-1 text-lg">{names.stations[fault.station] ?? fault.station}</p>
        {fault.hazard ? <p className="font-semibold text-oxide">{fault.hazard}</p> : null}
        <Part title="What it does">
          <Does does={fault.does} />
          {fault.modes.length > 0 ? (
            <p className="mt-2 font-semibold">One machine shows it in one of these ways:</p>
          ) : null}
          <Modes modes={fault.modes} names={names} />
          {fault.shows < 1 ? <p>It shows in {share(fault.shows)} of powered runs only.</p> : null}
        </Part>
        <Part title="What proves it">
          {fault.unproved ? <p>{fault.unproved}.</p> : null}
          <ul>
            {fault.provenBy.map(({ moveId, outcomeId }) => (
              <li key={`${moveId}:${outcomeId}`}>
                <a className={LINK} href={addressOf("moves", moveId)}>
                  {names.moves[moveId]?.title ?? moveId}
                </a>
                : {names.moves[moveId]?.answers[outcomeId] ?? outcomeId}
              </li>
            ))}
          </ul>
        </Part>
        <Part title="What cures it, with the chance that it does">
          <ol>
            {[fault.fix, ...fault.ladder].map(({ repair, success }) => (
              <li key={repair}>
                {names.repairs[repair] ?? repair} <span className="num">{share(success)}</span>
              </li>
            ))}
          </ol>
        </Part>
        {fault.leadsTo.length > 0 ? (
          <Part title="What it leads to, with the chance that it does">
            <ul>
              {fault.leadsTo.map(({ fault: to, chance, inFamily }) => (
                <li key={to}>
                  <a className={LINK} href={addressOf("faults", to)}>
                    {names.faults[to] ?? to}
                  </a>{" "}
                  {byFamily(chance, inFamily ?? {}, names)}
                </li>
              ))}
            </ul>
          </Part>
        ) : null}
      </div>
      <div>
        <Part title="Starting odds as the root, by kind of motor">
          <table className="w-full">
            <tbody>
              {Object.entries(fault.odds).map(([family, odds]) => (
                <tr key={family} className="border-rule border-b">
                  <td className="py-1">{names.families[family] ?? family}</td>
                  <td className="num text-right">{share(odds)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Part>
        {askedBy.length > 0 ? (
          <Part title="Moves that look for it">
            <ul>
              {askedBy.map((id) => (
                <li key={id}>
                  <a className={LINK} href={addressOf("moves", id)}>
                    {names.moves[id]?.title ?? id}
                  </a>
                </li>
              ))}
            </ul>
          </Part>
        ) : null}
      </div>
    </div>
  );
}
