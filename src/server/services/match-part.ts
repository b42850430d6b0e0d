import type { JobView } from "@/core/job/log/view";
import { hadResistor } from "@/core/job/old-part";
import { limitOf } from "@/core/knowledge/resolve-limits";
import { whatToAsk } from "@/core/matching/ask";
import type { Asked } from "@/core/matching/asked.input";
import { type Combination, combinationsFor, type Lists } from "@/core/matching/combine";
import type { JobFacts } from "@/core/matching/facts";
import { chosenSchools, type Family, type Schools } from "@/core/matching/family";
import { FITS } from "@/core/matching/judge";
import { matchParts } from "@/core/matching/match";
import { requirementOf, valuesOf } from "@/core/matching/needs";
import type { PartMatch } from "@/core/matching/part-match";
import { reserved } from "@/core/matching/reserves";
import type { From } from "@/core/matching/source";
import { meaningOfPlate, readOf } from "@/core/nameplate/as-typed";
import { parsePower } from "@/core/nameplate/power";
import { supplyOf } from "@/core/nameplate/supply";
import { denoise } from "@/core/quantity/decimal";
import { fail, issue, ok, type Result } from "@/core/result";
import { FAMILY_IDS, loadFamily } from "@/parts/registry";
import { priceListOf } from "./price-lists";
import { shelvedParts } from "./shelf";
import type { ShopContext } from "./shop-context";
import { typedSources } from "./typed-sources";

type Shop = Pick<ShopContext, "db" | "limits" | "settings" | "knowledge">;

const isOfShaft = (powerIs: string | undefined): boolean => powerIs === "output" || powerIs === "not-said";

/** Whether it needs an earth. A class that is not known counts as one with earth; without a job nothing is said. */
function earthOf(protection: JobView["machine"]["protection"] | undefined): JobFacts["earth"] {
  if (protection === undefined) return undefined;
  if (protection === "class-1") return { isNeeded: true, said: "it has an earth" };
  if (protection === "not-known")
    return { isNeeded: true, said: "class not known: counts as one with earth" };
  return { isNeeded: false, said: protection === "class-2" ? "double insulated" : "low volts, no earth" };
}

/** What the job knows that a part's requirement can come from. */
function factsOf(view: JobView | undefined, { settings, limits, knowledge }: Shop): JobFacts {
  const { volts, hertz } = settings.value;
  const supply = supplyOf(view?.plate?.volts ?? "", volts).volts;
  const floor = (row: string): number => Math.ceil(denoise(supply * limitOf(limits, row).value));
  const plate = view?.plate;
  const power = plate?.power ? parsePower(plate.power) : undefined;
  const read = {
    volts: plate ? readOf(plate.volts, "voltage") : undefined,
    hertz: plate ? readOf(plate.hertz, "frequency") : undefined,
    amps: plate ? readOf(plate.amps, "current") : undefined,
    // Watts taken in and peaks say nothing of the shaft.
    watts: power?.ok && isOfShaft(plate?.powerIs) ? power.value : undefined,
    poles: plate
      ? meaningOfPlate(plate, limits).find(({ code }) => code === "poles")?.figures["poles"]
      : undefined,
  };
  const marks = Object.fromEntries((view?.capacitors ?? []).map(({ id, mark }) => [id, mark]));
  const motor = view?.takenIn?.family;
  return {
    marks,
    hadResistor: view ? hadResistor(view, "start", knowledge.moves) : false,
    floors: { start: floor("start-volts-floor"), run: floor("run-volts-floor") },
    plate: Object.fromEntries(Object.entries(read).filter(([, value]) => value !== undefined)),
    mains: { volts, hertz },
    earth: earthOf(view?.machine.protection),
    motor: motor === undefined || motor === "not-known" ? undefined : motor,
  };
}

/** The shop's own schools, and what is said otherwise for this part. */
function schoolsOf({ schools }: Asked, { settings }: Shop): Schools {
  return {
    ...settings.value.substitution,
    ...Object.fromEntries(schools.map(({ attribute, of }) => [attribute, of])),
  };
}

/** Combinations that beat the best single one: they fit better, or as well and are here sooner. */
export async function betterThanSingle({
  matched: { candidates },
  combinations,
}: PartMatch): Promise<readonly Combination[]> {
  const [best] = candidates;
  // Nothing beats one that fits and is here.
  if (best?.fit === "fit" && best.part.days <= 1) return [];
  const rank = (fit: Combination["fit"]): number => FITS.indexOf(fit);
  return (await combinations()).filter(
    ({ fit, days }) => !best || rank(fit) < rank(best.fit) || (fit === best.fit && days < best.part.days),
  );
}

/** The families of which a combination may be made, with their parts. */
async function othersOf({ together = [] }: Family): Promise<Lists["others"]> {
  const ids = together.flatMap((rule) => ("family" in rule ? [rule.family] : []));
  const families = await Promise.all([...new Set(ids)].map((id) => loadFamily(id)));
  return new Map(
    families.flatMap((family) =>
      family ? [[family.id, { family, parts: priceListOf(family).parts }] as const] : [],
    ),
  );
}

/** What the job has of the shelf for its parts as they are chosen now. */
function heldBy(view: JobView | undefined): ReadonlyMap<string, number> {
  const held = new Map<string, number>();
  for (const { id, count } of (view?.parts ?? []).flatMap(({ fromShelf }) => fromShelf))
    held.set(id, (held.get(id) ?? 0) + count);
  return held;
}

/** What is needed, and what of the shelf and the price list may be fitted in its place. Paths of issues are those of what was asked. */
export async function matchFor(
  asked: Asked,
  view: JobView | undefined,
  shop: Shop,
): Promise<Result<PartMatch>> {
  const family = await loadFamily(asked.family);
  if (!family)
    return fail(
      issue(
        "family",
        "match/no-family",
        `There is no family of parts "${asked.family}". There are: ${FAMILY_IDS.join(", ")}.`,
        asked.family,
      ),
    );
  const context = { limits: shop.limits, schools: chosenSchools(family, schoolsOf(asked, shop)) };
  const { sources, issues } = typedSources(family, asked);
  if (issues.length > 0) return fail(...issues);
  const settled = Object.fromEntries(
    asked.settled.map(({ attribute, of }): [string, From] => [attribute, of]),
  );
  const facts = factsOf(view, shop);
  const known = [...sources, ...(family.fromJob?.(facts) ?? [])];
  const { requirement, notes } = reserved(
    family,
    requirementOf(family, known, settled, context),
    facts,
    context,
  );
  const need = valuesOf(requirement);
  const onShelf = await shelvedParts(family, shop.db, heldBy(view));
  const here = onShelf.filter(({ shelf }) => shelf && shelf.count > 0);
  const matched = matchParts(family, need, [...here, ...priceListOf(family).near(need)], context);
  return ok({
    family,
    context,
    requirement,
    notes,
    matched,
    onShelf,
    listed: () => priceListOf(family).parts,
    combinations: async () => {
      const own = [...here, ...priceListOf(family).parts];
      return combinationsFor(family, need, { own, others: await othersOf(family) }, context);
    },
    asks: whatToAsk(family, need, matched.candidates, context),
  });
}
