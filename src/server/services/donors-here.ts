import type { JobView } from "@/core/job/log/view";
import { NOTHING_SAID } from "@/core/matching/asked.input";
import type { DonorHere } from "@/core/matching/donor-here";
import { familyOf } from "@/core/matching/places";
import { donorFamilies } from "@/server/repositories/shelf";
import { matchFor } from "./match-part";
import type { ShopContext } from "./shop-context";

/**
 * Parts of the machines kept for parts that may do for a repair of this job, the best of each: held against what the job
 * knows to be needed, as a match holds them. A part that is chosen already is not among them.
 */
export async function donorsHere(view: JobView, shopContext: ShopContext): Promise<readonly DonorHere[]> {
  const families = new Set(await donorFamilies(shopContext.db));
  const chosen = new Set(view.parts.map(({ forPart }) => forPart));
  const found: DonorHere[] = [];
  for (const { id: repair, forPart } of shopContext.knowledge.repairs) {
    const family = forPart === undefined ? undefined : familyOf(forPart);
    if (forPart === undefined || family === undefined || chosen.has(forPart) || !families.has(family))
      continue;
    const match = await matchFor({ family, ...NOTHING_SAID }, view, shopContext);
    if (!match.ok) continue;
    const best = match.value.matched.candidates.find(({ part }) => part.shelf?.donor);
    if (!best?.part.shelf?.donor) continue;
    const { part, fit } = best;
    const { used } = match.value.family;
    const first = "note" in used ? used.note : used.never;
    const { place, donor } = best.part.shelf;
    found.push({ repair, label: part.label, place, ...donor, priceMinor: part.priceMinor, fit, first });
  }
  return found;
}
