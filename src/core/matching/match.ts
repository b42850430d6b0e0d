import type { AttributeSpec, Family } from "./family";
import { type AttributeFit, FITS, type Fit, judgeAttribute, type MatchContext, worstOf } from "./judge";
import type { Attributes, Part } from "./part";
import { judgeShelved } from "./shelved";

/** A part held against what is needed, attribute by attribute. */
export interface Candidate {
  readonly part: Part;
  /** The worst of its attributes. */
  readonly fit: Fit;
  readonly attributes: readonly AttributeFit[];
  /** A rejection that no school and no setting lets pass. */
  readonly isSafety: boolean;
}

/** One part against what is needed. Attributes that neither the need nor the part states are left out where they are soft. */
export function matchPart(family: Family, need: Attributes, part: Part, context: MatchContext): Candidate {
  const judged = Object.entries(family.attributes)
    .filter(
      ([id, { isHard, isOfMachine }]) =>
        !isOfMachine && (isHard === true || need[id] !== undefined || part.attributes[id] !== undefined),
    )
    .map(([id, spec]) => judgeAttribute(id, spec, need[id], part.attributes[id], context));
  const never = family.never
    .filter((one) => one.when(need, part.attributes))
    .map(
      ({ id }): AttributeFit => ({ id, fit: "reject", reason: { code: "never", note: id }, isSafety: true }),
    );
  const attributes = [...never, ...judgeShelved(family, part), ...judged];
  return {
    part,
    fit: worstOf(attributes.map(({ fit }) => fit)),
    attributes,
    isSafety: attributes.some(({ isSafety }) => isSafety),
  };
}

/** How well a part stands in a list: without a word of why, which `matchPart` has for the few that are shown. */
export interface Ranked {
  readonly part: Part;
  readonly fit: Fit;
  /** How many of its attributes are more than a plain fit. */
  readonly notes: number;
}

/** What lies here first: it is fitted today. */
const isAway = ({ part }: Ranked): number => (part.days === 0 ? 0 : 1);

/** The better fit first, then the fewer notes, then what lies here, then the cheaper, then the sooner, then by its name: never by chance. */
function before(one: Ranked, other: Ranked): number {
  return (
    FITS.indexOf(one.fit) - FITS.indexOf(other.fit) ||
    one.notes - other.notes ||
    isAway(one) - isAway(other) ||
    one.part.priceMinor - other.part.priceMinor ||
    one.part.days - other.part.days ||
    (one.part.id < other.part.id ? -1 : 1)
  );
}

export interface Matched {
  /** Parts that may be fitted, best first. */
  readonly candidates: readonly Ranked[];
  /** Rejected for one thing alone. */
  readonly nearMisses: readonly Ranked[];
  /** How many were rejected in all, by the attribute that failed first. */
  readonly rejected: Readonly<Record<string, number>>;
}

interface Weighed extends Ranked {
  /** What it is rejected by first; undefined where it is not. */
  readonly first: string | undefined;
  readonly isSeveral: boolean;
}

/** The attributes of each family as a list, made once. */
const listed = new WeakMap<Family, readonly (readonly [string, AttributeSpec])[]>();

function specsOf(family: Family): readonly (readonly [string, AttributeSpec])[] {
  const specs = listed.get(family) ?? Object.entries(family.attributes);
  listed.set(family, specs);
  return specs;
}

/** What of a part is more than a plain fit, one after the other: what is never fitted, the shelf, the attributes. */
function* oddOf(family: Family, need: Attributes, part: Part, context: MatchContext) {
  const never = family.never.find(({ when }) => when(need, part.attributes));
  if (never) yield { id: never.id, fit: "reject" } as const;
  if (part.shelf) yield* judgeShelved(family, part);
  for (const [id, spec] of specsOf(family)) {
    if (spec.isOfMachine) continue;
    const [needed, offered] = [need[id], part.attributes[id]];
    // The same is the same; what is not needed is only asked for where it decides.
    if (needed === undefined ? spec.isHard !== true : needed === offered) continue;
    yield judgeAttribute(id, spec, needed, offered, context);
  }
}

/** A part as `matchPart` judges it, as far as a list needs it: done with what is rejected twice. */
export function weigh(family: Family, need: Attributes, part: Part, context: MatchContext): Weighed {
  let [worst, notes]: [number, number] = [0, 0];
  let first: string | undefined;
  for (const { id, fit } of oddOf(family, need, part, context)) {
    if (fit === "fit") continue;
    if (fit === "reject" && first !== undefined) return { part, fit, notes, first, isSeveral: true };
    if (fit === "reject") first = id;
    notes += 1;
    worst = Math.max(worst, FITS.indexOf(fit));
  }
  return { part, fit: FITS[worst] ?? "reject", notes, first, isSeveral: false };
}

/** Parts of a family against what is needed: what may be fitted, what fails by one thing, and how many fail by what. */
export function matchParts(
  family: Family,
  need: Attributes,
  parts: readonly Part[],
  context: MatchContext,
): Matched {
  const counted = new Map<string, number>();
  const [candidates, nearMisses]: [Ranked[], Ranked[]] = [[], []];
  for (const part of parts) {
    const weighed = weigh(family, need, part, context);
    const { first, isSeveral } = weighed;
    if (first !== undefined) counted.set(first, (counted.get(first) ?? 0) + 1);
    if (!isSeveral) (first === undefined ? candidates : nearMisses).push(weighed);
  }
  return {
    candidates: candidates.sort(before),
    nearMisses: nearMisses.sort(before),
    rejected: Object.fromEntries([...counted].sort(([, one], [, other]) => other - one)),
  };
}
