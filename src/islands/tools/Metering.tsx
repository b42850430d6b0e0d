import { ownFigures } from "@/core/job/isolation/own-figures";
import type { JobView } from "@/core/job/log/view";
import type { Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";

interface MeteringProps {
  readonly move: Move;
  readonly job: JobView;
  readonly shop: Shop;
  /** On a phone only where the probes go and what to expect: the reading stays in sight. */
  readonly isShort?: boolean;
}

/** Where the probes go, what to expect of this machine, and what more or less means. */
export function Metering({ move, job, shop, isShort = false }: MeteringProps) {
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
          <div
            key={term}
            className={
              isShort && (term === "More" || term === "Less") ? "contents max-md:hidden" : "contents"
            }
          >
            <dt className="text-soft">{term}</dt>
            <dd>{words}</dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}
