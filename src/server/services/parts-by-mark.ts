import { chosenSchools } from "@/core/matching/family";
import { matchParts } from "@/core/matching/match";
import { formatValue } from "@/core/matching/typed";
import { allFamilies } from "@/parts/registry";
import type { PartHit } from "@/wire/parts";
import { priceListOf } from "./price-lists";
import type { ShopContext } from "./shop-context";

/** Families whose marking the text is, with what it says and how many parts of the list it leaves. */
export async function partsByMark(
  text: string,
  { limits, settings }: Pick<ShopContext, "limits" | "settings">,
): Promise<readonly PartHit[]> {
  return (await allFamilies()).flatMap((family): PartHit[] => {
    const need = family.readMark?.(text);
    if (!need) return [];
    const context = { limits, schools: chosenSchools(family, settings.value.substitution) };
    const said = Object.entries(family.attributes).flatMap(([id, spec]) => {
      const value = need[id];
      return value === undefined ? [] : [formatValue(spec, value)];
    });
    const { candidates } = matchParts(family, need, priceListOf(family).near(need), context);
    return [{ family: family.id, title: family.title, said: said.join(", "), found: candidates.length }];
  });
}
