import type { Provenance } from "@/core/knowledge/types";
import { formatDay } from "@/core/quantity/format";

const BASIS: Readonly<Record<Provenance["basis"], string>> = {
  standard: "From a standard",
  manufacturer: "From a maker's sheet",
  literature: "From the literature",
  counted: "Counted",
  judgement: "Judged by working repairers",
};

/** Where a page comes from, and who has held it against that. */
export function Basis({ provenance, source }: { readonly provenance: Provenance; readonly source: string }) {
  const { basis, place, reviewed } = provenance;
  return (
    <p className="mt-5 border-rule border-t pt-2 text-soft" data-testid="basis">
      {BASIS[basis]}:{" "}
      <a
        className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
        href={`/knowledge/sources/${provenance.source}`}
      >
        {source}
      </a>
      {place ? `, ${place}` : ""}.{" "}
      <b className="font-semibold text-ink">
        {reviewed ? `Reviewed by ${reviewed.by}, ${formatDay(reviewed.on)}.` : "Nobody has reviewed it yet."}
      </b>
    </p>
  );
}
