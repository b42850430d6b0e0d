import type { Isolation } from "@/core/isolation/isolate";
import type { JobView } from "@/core/job/log/view";
import { formatChance } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { useSettleKind } from "../engine/settle-kind";
import { Problem } from "../fields/Problem";

interface KindsProps {
  readonly kinds: Isolation["kinds"];
  readonly job: JobView;
  readonly shop: Shop;
}

const SHOWN = 3;

/** While nobody has settled the kind of motor: how likely each is, and one tap to settle it. */
export function Kinds({ kinds, job, shop }: KindsProps) {
  const { settle, problem, isBusy } = useSettleKind(job);
  const first = kinds[0];
  if (!first) return null;
  const familyOf = (id: string) => shop.families.find((family) => family.id === id);
  const isSettled = first.chance >= shop.parameters["kind-settled"];
  const inOrder = [
    ...kinds,
    ...shop.families
      .filter(({ id, scope }) => scope !== undefined && !kinds.some(({ family }) => family === id))
      .map(({ id }) => ({ family: id, chance: 0 })),
  ];
  const row = ({ family, chance }: Isolation["kinds"][number], index: number) => (
    <li key={family} className="border-rule border-b">
      <button
        type="button"
        disabled={isBusy}
        onClick={() => settle(family)}
        className={`relative min-h-11 w-full pb-1 text-left ${isSettled && family === first.family && index === 0 ? "border-2 border-teal px-2 font-bold" : ""}`}
      >
        <span
          className="absolute bottom-0 left-0 h-1 bg-copper"
          style={{ width: `${chance * 100}%`, transition: "width 400ms" }}
          aria-hidden="true"
        />
        <span className="flex justify-between gap-3">
          {familyOf(family)?.label ?? family}
          <span className="whitespace-nowrap text-soft">{chance > 0 ? formatChance(chance) : ""}</span>
        </span>
        <span className="block text-[15px] text-soft leading-tight">{familyOf(family)?.clue}</span>
      </button>
    </li>
  );
  return (
    <section aria-label="Kind of motor" className="mb-5">
      <h2 className="font-semibold text-soft">Kind of motor</h2>
      <p className="mt-1">
        {isSettled
          ? `Most likely ${inSentence(familyOf(first.family)?.label ?? first.family)}: tap it, and live moves and its own faults come in.`
          : "Not settled: no live move before it is. Each answer narrows it; tap the one you know it is."}
      </p>
      <ul className="mt-1 border-ink border-t-2">{inOrder.slice(0, SHOWN).map(row)}</ul>
      <details>
        <summary className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
          Every other kind
        </summary>
        <ul className="border-ink border-t-2">{inOrder.slice(SHOWN).map(row)}</ul>
      </details>
      <Problem text={problem} />
    </section>
  );
}
