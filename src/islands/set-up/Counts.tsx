import type { ShopCounts } from "@/core/isolation/shop-counts";
import type { Knowledge } from "@/core/knowledge/types";

interface CountsProps {
  readonly counts: ShopCounts;
  readonly names: {
    readonly families: readonly Pick<Knowledge["families"][number], "id" | "label">[];
    readonly faults: readonly Pick<Knowledge["faults"][number], "id" | "label">[];
  };
  readonly isOn: boolean;
  onChange(isOn: boolean): void;
}

const plain = new Intl.NumberFormat("en", { maximumFractionDigits: 1 });

/** What the shop's own closed jobs have shown, and whether that counts: on by choice, seen, and taken back by a tap. */
export function Counts({ counts, names, isOn, onChange }: CountsProps) {
  const total = counts.jobs.reduce((sum, { count }) => sum + count, 0);
  const label = (rows: readonly { readonly id: string; readonly label: string }[], id: string): string =>
    rows.find((row) => row.id === id)?.label ?? id;
  return (
    <fieldset>
      <legend className="font-bold text-lg">Learning from closed jobs</legend>
      <label className="chip mt-1">
        <input
          className="sr-only"
          type="checkbox"
          checked={isOn}
          onChange={(event) => onChange(event.target.checked)}
        />
        Let them move the chances of suspects
      </label>
      <p className="mt-2 text-soft">
        A closed job counts once, where a direct reading proved the fault; a repair that held without one
        counts half. The shipped chances weigh as much as thirty jobs of a family. Off, nothing of this is
        used; nothing is lost either way.
      </p>
      {counts.faults.length === 0 ? (
        <p className="mt-1">No closed job has shown its fault yet.</p>
      ) : (
        <details className="mt-1">
          <summary className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
            {plain.format(total)} {total === 1 ? "job counts" : "jobs count"} so far
          </summary>
          <ul className="border-ink border-t-2">
            {counts.faults.map(({ family, fault, count }) => (
              <li
                key={`${family} ${fault}`}
                className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-rule border-b py-1"
              >
                <span>
                  {label(names.faults, fault)}{" "}
                  <span className="text-soft">{label(names.families, family)}</span>
                </span>
                <span className="num">{plain.format(count)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </fieldset>
  );
}
