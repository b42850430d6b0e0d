import type { Family, Listed } from "./family";
import { type Attributes, isSpan, type Part, type Value } from "./part";

/** Share by which the first attribute may be off for a part to be looked at: wider than any rule lets pass. */
const LOOKED_AT = 0.3;
/** The same for a size, of which only its neighbours are near misses. */
const NEAR_SIZE = 0.15;

/** So few that all of them are looked at: each that fails by one thing is told. */
const FEW = 200;

/** Parts of one family, in the order of the attribute by which they are searched first. */
export interface PriceList {
  readonly parts: readonly Part[];
  /** The parts that can be a candidate or a near miss for what is needed. */
  near(need: Attributes): readonly Part[];
  /** The least and the most of an attribute that it has; undefined where no part states it as a figure. */
  rangeOf(attribute: string): readonly [number, number] | undefined;
}

const slug = (label: string): string =>
  label
    .toLowerCase()
    .replace(/[μ]/g, "u")
    .replace(/[^a-z0-9.]+/g, "-")
    .replace(/^-|-$/g, "");

/** A number to sort and search by; a range by its lower end, a word by none. */
function keyOf(value: Value | undefined): number | undefined {
  if (isSpan(value)) return value.min;
  return typeof value === "number" ? value : undefined;
}

/** The first place in a rising list that is not under a figure. */
function firstFrom(keys: readonly number[], least: number): number {
  let [low, high] = [0, keys.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((keys[middle] ?? 0) < least) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** How far a rule lets an attribute be off, downwards and upwards, as the ends of a window. */
function windowOf({ attributes }: Family, attribute: string, needed: number): readonly [number, number] {
  const kind = attributes[attribute]?.rule.kind;
  const [low, high] = [needed * (1 - LOOKED_AT), needed * (1 + LOOKED_AT)];
  if (kind === "size") return [needed * (1 - NEAR_SIZE), needed * (1 + NEAR_SIZE)];
  // A rating may be as high as it likes, a length that is cut as long, a ceiling as low as it likes.
  if (kind === "at-least" || kind === "trim") return [low, Number.POSITIVE_INFINITY];
  return kind === "at-most" ? [0, high] : [low, high];
}

/** Parts in the order of one attribute; those that do not state it apart. */
interface Ordered {
  readonly keys: readonly number[];
  readonly parts: readonly Part[];
  readonly unstated: readonly Part[];
}

function orderedBy(attribute: string, parts: readonly Part[]): Ordered {
  const keyed = parts
    .map((part) => ({ part, key: keyOf(part.attributes[attribute]) }))
    .filter((one): one is { part: Part; key: number } => one.key !== undefined)
    .sort((one, other) => one.key - other.key);
  return {
    keys: keyed.map(({ key }) => key),
    parts: keyed.map(({ part }) => part),
    unstated: parts.filter((part) => keyOf(part.attributes[attribute]) === undefined),
  };
}

/** The attributes to search by, the family's key first: those that decide and are figures. */
function searchedBy({ key, attributes }: Family): readonly string[] {
  const others = Object.keys(attributes).filter((id) => id !== key && attributes[id]?.isHard !== false);
  return [key, ...others];
}

/** A searchable list of a family's parts. What has no figure there is looked at every time. */
export function priceList(family: Family, parts: readonly Part[]): PriceList {
  const made = new Map<string, Ordered>();
  const ordered = (attribute: string): Ordered => {
    const known = made.get(attribute) ?? orderedBy(attribute, parts);
    made.set(attribute, known);
    return known;
  };
  const attributes = searchedBy(family);
  return {
    parts,
    rangeOf: (attribute) => {
      const { keys } = ordered(attribute);
      const [least, most] = [keys[0], keys.at(-1)];
      return least === undefined || most === undefined ? undefined : [least, most];
    },
    near: (need) => {
      const attribute = attributes.find((id) => keyOf(need[id]) !== undefined);
      const needed = attribute === undefined ? undefined : keyOf(need[attribute]);
      if (attribute === undefined || needed === undefined || parts.length <= FEW) return parts;
      const { keys, parts: sorted, unstated } = ordered(attribute);
      const [least, most] = windowOf(family, attribute, needed);
      const from = firstFrom(keys, least);
      let to = firstFrom(keys, most);
      while (to < keys.length && (keys[to] ?? 0) <= most) to += 1;
      return [...sorted.slice(from, to), ...unstated];
    },
  };
}

/** The parts of a room's series, each with its number and who sells it. */
export function listed(family: Family, rows: Iterable<Listed>, supplier: string): Part[] {
  return [...rows].map((row) => ({
    ...row,
    id: `${family.id}:${slug(row.label)}`,
    family: family.id,
    supplier,
  }));
}
