import { ownFigures } from "@/core/job/isolation/own-figures";
import type { JobView } from "@/core/job/log/reduce";
import { inSentence } from "../words/in-sentence";
import type { MoveProps } from "./move-props";

type CareProps = Pick<MoveProps, "move" | "shop" | "knowledge"> & { readonly job: JobView };

/** The instrument that is not in the shop, and what is done without it. */
function Borrow({ move, shop, knowledge }: Omit<CareProps, "job">) {
  const { kit } = shop.settings;
  if (move.kit === undefined || kit.includes(move.kit)) return null;
  const label = knowledge.kit.find(({ id }) => id === move.kit)?.label ?? move.kit;
  const instead = knowledge.moves.find(({ id }) => id === move.instead)?.title;
  return (
    <p className="font-semibold text-brass">
      {kit.length === 0 ? `Needs: ${inSentence(label)}` : `Not in the shop: ${inSentence(label)}. Borrow one`}
      {instead ? `; without it: ${inSentence(instead)}` : ""}.
    </p>
  );
}

/** Where the probes go, what to expect of this machine, and what more or less means. */
function Metering({ move, job, shop }: Omit<CareProps, "knowledge">) {
  if (move.probes === undefined) return null;
  const family = job.takenIn?.family ?? "";
  const expected = move.expect?.[family] ?? move.expect?.["all"];
  const own = ownFigures(move, job, shop.settings);
  const rows: readonly (readonly [string, string | undefined])[] = [
    ["Probes", move.probes],
    ["Expect", [expected, ...own].filter((one) => one !== undefined).join(" ")],
    ["More", move.more],
    ["Less", move.less],
  ];
  return (
    <dl
      className="my-1.5 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 border-rule border-y py-1.5"
      data-testid="metering"
    >
      {rows.map(([term, words]) =>
        words ? (
          <div key={term} className="contents">
            <dt className="text-soft">{term}</dt>
            <dd>{words}</dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}

/** How the meter is set and held, what misleads, and what to do where the instrument is not owned. */
export function Care(props: CareProps) {
  const { move } = props;
  const words = [...(move.setting ? [`Meter on ${move.setting}.`] : []), ...move.pitfalls].join(" ");
  return (
    <>
      {words === "" ? null : <p className="text-[17px]">{words}</p>}
      <Metering {...props} />
      <Borrow {...props} />
    </>
  );
}
