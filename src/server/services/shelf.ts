import type { Limits } from "@/core/knowledge/types";
import { printsDirectAlone } from "@/core/markings/volts";
import { chosenSchools, type Family, isOfKind } from "@/core/matching/family";
import type { Attributes, Part } from "@/core/matching/part";
import type { Reshelved, ShelfLine, Shelved, StockLine, StockMove } from "@/core/matching/shelf.input";
import { ON_SHELF } from "@/core/matching/shelved";
import type { Source } from "@/core/matching/source";
import { agree, isStricter } from "@/core/matching/stricter";
import { formatValue } from "@/core/matching/typed";
import { fail, type Issue, issue, ok, type Result } from "@/core/result";
import { allFamilies, FAMILY_IDS, loadFamily } from "@/parts/registry";
import { canonicalJson } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import {
  addShelfPart,
  addStockMove,
  changeShelfPart,
  heldShelfPart,
  type ShelfRow,
  shelfOfFamily,
  stockMoveById,
  stockMovesOf,
  wholeShelf,
} from "@/server/repositories/shelf";
import { priceListOf } from "./price-lists";
import type { ShopContext } from "./shop-context";
import { typedSources } from "./typed-sources";

/** What was kept of a part, as far as its family still knows it. */
function knownOf(family: Family, attributes: Attributes): Attributes {
  return Object.fromEntries(
    Object.entries(family.attributes).flatMap(([id, spec]) => {
      const value = Object.hasOwn(attributes, id) ? attributes[id] : undefined;
      return value !== undefined && isOfKind(spec, value) ? [[id, value]] : [];
    }),
  );
}

/**
 * The parts of a family that the shelf has a place for, to be matched as those of the price list are.
 * @param held what the job has of the shelf already: for it that lies there as well
 */
export async function shelvedParts(
  family: Family,
  db: Executor,
  held: ReadonlyMap<string, number>,
): Promise<readonly Part[]> {
  return (await shelfOfFamily(db, family.id)).map((row) => {
    const { id, label, priceMinor, place, donorMachine, tested } = row;
    const count = row.count + (held.get(id) ?? 0);
    const donor = donorMachine === null ? undefined : { machine: donorMachine, tested };
    return {
      id: `${ON_SHELF}${id}`,
      family: family.id,
      label,
      attributes: knownOf(family, row.attributes),
      priceMinor,
      days: 0,
      supplier: row.supplier,
      shelf: { place, count, donor },
    };
  });
}

function noSuchPart(id: string): Result<never> {
  return fail(issue("id", "not-found/shelf-part", `There is no part ${id} on the shelf.`, id));
}

/** Ratings of safety that are typed of a part on offer and are better than what is printed on it, or another. */
function againstMark(family: Family, sources: readonly Source[], limits: Limits): Issue[] {
  const context = { limits, schools: chosenSchools(family, {}) };
  return sources.flatMap(({ attribute, value, from }) => {
    const spec = family.attributes[attribute];
    const printed = sources.find((one) => one.attribute === attribute && one.from === "marked")?.value;
    if (!spec?.isSafety || from === "marked" || printed === undefined) return [];
    const isBorne =
      agree(spec, printed, value, context) ||
      isStricter(spec, printed, value, context) ||
      spec.wears === true;
    if (isBorne) return [];
    const [said, mark] = [formatValue(spec, value), formatValue(spec, printed)];
    return [
      issue(
        `typed.${attribute}`,
        "shelf/against-mark",
        `${spec.label} ${said}, where ${mark} is printed on it: look at the print again and write down what it says.`,
        said,
      ),
    ];
  });
}

/** Volts that are printed as direct ones are no rating for the mains, whatever is typed beside them. */
function directAlone(family: Family, { typed, marking }: Pick<Shelved, "typed" | "marking">): Issue[] {
  if (!printsDirectAlone(marking)) return [];
  return typed
    .filter(({ attribute, of }) => family.attributes[attribute]?.isAlternating && of.trim() !== "")
    .map(({ attribute, of }) =>
      issue(
        `typed.${attribute}`,
        "shelf/against-mark",
        `Volts AC ${of}, where "${marking}" is printed on it: direct volts are no rating for the mains. Leave the part out, or write down the AC volts that stand on it.`,
        of,
      ),
    );
}

/** What is put there: a part of the price list as it is listed, or one as it is described. */
async function described(
  { family: id, listedId, label, ...said }: Shelved,
  { limits }: Pick<ShopContext, "limits">,
) {
  const family = await loadFamily(id);
  if (!family)
    return fail(
      issue(
        "family",
        "match/no-family",
        `There is no family of parts "${id}". There are: ${FAMILY_IDS.join(", ")}.`,
        id,
      ),
    );
  if (listedId !== null) {
    const listed = priceListOf(family).parts.find((one) => one.id === listedId);
    return listed
      ? ok({ label: label || listed.label, attributes: listed.attributes })
      : fail(issue("listedId", "unknown/part", `There is no part "${listedId}".`, listedId));
  }
  const { sources, issues } = typedSources(family, said);
  if (issues.length > 0) return fail(...issues);
  const boasts = [...againstMark(family, sources, limits), ...directAlone(family, said)];
  if (boasts.length > 0) return fail(...boasts);
  if (label.trim() === "")
    return fail(issue("label", "shelf/no-name", "Name: say what it is called on the shelf.", label));
  // What is typed was found on the part itself; its stamp may be worn.
  const attributes = Object.fromEntries(
    [...sources].reverse().map(({ attribute, value }) => [attribute, value]),
  );
  if (attributes[family.key] === undefined) {
    const key = family.attributes[family.key]?.label ?? family.key;
    return fail(
      issue(
        `typed.${family.key}`,
        "shelf/no-key",
        `${key} is not said: without it no match ever finds this ${family.title.toLowerCase()}.`,
      ),
    );
  }
  return ok({ label: label.trim(), attributes });
}

/** Puts a part on the shelf that has no place there yet. The same again changes nothing; the same id with other content is refused. */
export async function putOnShelf(
  body: Shelved,
  now: string,
  { db, limits }: Pick<ShopContext, "db" | "limits">,
): Promise<Result<{ readonly id: string }>> {
  const made = await described(body, { limits });
  if (!made.ok) return made;
  const { id, family, place, count, priceMinor, supplier, donor, by } = body;
  const row: ShelfRow = {
    id,
    family,
    ...made.value,
    place,
    priceMinor,
    supplier,
    donorMachine: donor?.machine ?? null,
    tested: donor?.tested ?? "",
    version: 1,
    count,
  };
  return db.transaction(async (tx) => {
    if (await addShelfPart(tx, row, { at: now, by })) {
      const move = { id, shelfPartId: id, count, reason: "put-in", jobId: null, at: now, by };
      await addStockMove(tx, move);
      return ok({ id });
    }
    const kept = await heldShelfPart(tx, id);
    const contentOf = (one: ShelfRow | undefined): string =>
      canonicalJson({ family: one?.family ?? "", label: one?.label, attributes: one?.attributes ?? {} });
    return contentOf(kept) === contentOf(row)
      ? ok({ id })
      : fail(issue("id", "stale/shelf-id", `id ${id} was used for another part: make a new one.`, id));
  });
}

/** Another place, price or name of a part on the shelf; refused where another device changed it since. */
export async function reshelve(
  id: string,
  { version, ...to }: Reshelved,
  { db }: Pick<ShopContext, "db">,
): Promise<Result<{ readonly version: number }>> {
  return db.transaction(async (tx) => {
    const kept = await heldShelfPart(tx, id);
    if (!kept) return noSuchPart(id);
    if (await changeShelfPart(tx, { id, version }, to)) return ok({ version: version + 1 });
    return fail(
      issue(
        "version",
        "stale/shelf-part",
        `Another device changed this part meanwhile: it now says "${kept.label}", ${kept.place}. Look at it and keep again.`,
        version,
      ),
    );
  });
}

/** Something put in or taken out by hand: never more than lies there. */
export async function moveStock(
  id: string,
  { id: moveId, count, reason, by }: StockMove,
  now: string,
  { db }: Pick<ShopContext, "db">,
): Promise<Result<{ readonly count: number }>> {
  return db.transaction(async (tx) => {
    const kept = await heldShelfPart(tx, id);
    if (!kept) return noSuchPart(id);
    const before = await stockMoveById(tx, moveId);
    if (before)
      return before.shelfPartId === id && before.count === count
        ? ok({ count: kept.count })
        : fail(issue("id", "stale/move-id", `id ${moveId} was used for another: make a new one.`, moveId));
    const then = kept.count + count;
    if (then < 0)
      return fail(
        issue(
          "count",
          "shelf/too-few",
          `${kept.place} has ${kept.count} of "${kept.label}": ${-count} cannot be taken out.`,
          count,
        ),
      );
    await addStockMove(tx, { id: moveId, shelfPartId: id, count, reason, jobId: null, at: now, by });
    return ok({ count: then });
  });
}

const MOST_MOVES = 30;

/** What came and went of a part, newest first. */
export async function stockLines(id: string, { db }: Pick<ShopContext, "db">): Promise<readonly StockLine[]> {
  return (await stockMovesOf(db, id, MOST_MOVES)).map(({ shelfPartId: _, ...line }) => line);
}

function lineOf(families: ReadonlyMap<string, Family>, row: ShelfRow): ShelfLine {
  const { id, label, place, count, priceMinor, supplier, donorMachine, tested, version } = row;
  const family = families.get(row.family);
  const specs = Object.entries(family?.attributes ?? {});
  const known = family ? knownOf(family, row.attributes) : {};
  return {
    id,
    family: row.family,
    familyTitle: family?.title ?? row.family,
    label,
    said: specs.flatMap(([attribute, spec]) => {
      const value = known[attribute];
      return value === undefined ? [] : [{ label: spec.label, value: formatValue(spec, value) }];
    }),
    unstated: specs.flatMap(([attribute, spec]) =>
      spec.isHard === true && known[attribute] === undefined ? [spec.label] : [],
    ),
    place,
    count,
    priceMinor,
    supplier,
    donor: donorMachine === null ? null : { machine: donorMachine, tested },
    version,
  };
}

/** All that the shelf has a place for, in words. */
export async function shelfLines({ db }: Pick<ShopContext, "db">): Promise<readonly ShelfLine[]> {
  const families = new Map((await allFamilies()).map((family) => [family.id, family]));
  return (await wholeShelf(db)).map((row) => lineOf(families, row));
}
