import type { BeforeAfter } from "@/core/job/sign-off/before-after";
import { formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { figureName } from "@/words/figures";

/** A ratio says nothing of temperatures and levels: they are told by their difference. */
function ratio({ before, after, unit }: BeforeAfter): string {
  if (before === undefined || after === undefined) return "";
  if (unit === "K" || unit === "dB") {
    const difference = Number((after - before).toPrecision(2));
    return `${difference > 0 ? "+" : ""}${difference} ${unit === "K" ? "°C" : "dB"}`;
  }
  if (before === 0) return "";
  return `${Number((after / before).toPrecision(2))} times`;
}

/** Before and after in two columns. */
export function Figures({ rows, shop }: { readonly rows: readonly BeforeAfter[]; readonly shop: Shop }) {
  if (rows.length === 0) return <p className="text-soft">No figure was taken before and after.</p>;
  const cell = (value: number | undefined, unit: string) =>
    value === undefined ? <span className="text-soft">not taken</span> : formatText(value, unit);
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="text-soft">
          <th className="font-normal" scope="col">
            Figure
          </th>
          <th className="pl-3 text-right font-normal" scope="col">
            Before
          </th>
          <th className="pl-3 text-right font-normal" scope="col">
            After
          </th>
          <th className="pl-3 text-right font-normal" scope="col">
            Ratio
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id} className="border-rule border-t">
            <th scope="row" className="py-1.5 font-medium">
              {figureName(row, shop)}
            </th>
            <td className="pl-3 text-right">{cell(row.before, row.unit)}</td>
            <td className="pl-3 text-right">{cell(row.after, row.unit)}</td>
            <td className="pl-3 text-right">{ratio(row)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
