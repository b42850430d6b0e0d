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
      ([id, { isHard }]) => isHard === true || need[id] !== undefined || part.attributes[id] !== undefined,
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

const notes = ({ attributes }: Candidate): number => attributes.filter(({ fit }) => fit !== "fit").length;

/** What lies here first: it is fitted today. */
const isAway = ({ part }: Candidate): number => (part.days === 0 ? 0 : 1);

/** The better fit first, then the fewer notes, then what lies here, then the cheaper, then the sooner, then by its name: never by chance. */
function before(one: Candidate, other: Candidate): number {
  return (
    FITS.indexOf(one.fit) - FITS.indexOf(other.fit) ||
    notes(one) - notes(other) ||
    isAway(one) - isAway(other) ||
    one.part.priceMinor - other.part.priceMinor ||
    one.part.days - other.part.days ||
    (one.part.id < other.part.id ? -1 : 1)
  );
}

export interface Matched {
  /** Parts that may be fitted, best first. */
  readonly candidates: readonly Candidate[];
  /** Rejected for one thing alone. */
  readonly nearMisses: readonly Candidate[];
  /** How many were rejected in all, by the attribute that failed first. */
  readonly rejected: Readonly<Record<string, number>>;
}

/** What a part fails by, without a word of why: the first attribute, and whether there are more. */
export function failsBy(
  {
    attributes,
    never,
  }: { readonly attributes: readonly (readonly [string, AttributeSpec])[] } & Pick<Family, "never">,
  need: Attributes,
  part: Part,
  context: MatchContext,
): { readonly first: string | undefined; readonly isSeveral: boolean } {
  let first = never.find(({ when }) => when(need, part.attributes))?.id;
  for (const [id, spec] of attributes) {
    const [needed, offered] = [need[id], part.attributes[id]];
    if (needed === undefined || needed === offered) continue;
    if (judgeAttribute(id, spec, needed, offered, context).fit !== "reject") continue;
    if (first !== undefined) return { first, isSeveral: true };
    first = id;
  }
  return { first, isSeveral: false };
}

/** The same of a part on the shelf, of which more is weighed than its attributes. */
function shelvedFailsBy(family: Family, need: Attributes, part: Part, context: MatchContext) {
  const failing = matchPart(family, need, part, context).attributes.filter(({ fit }) => fit === "reject");
  return { first: failing[0]?.id, isSeveral: failing.length > 1 };
}

/** Parts of a family against what is needed: what may be fitted, what fails by one thing, and how many fail by what. */
export function matchParts(
  family: Family,
  need: Attributes,
  parts: readonly Part[],
  context: MatchContext,
): Matched {
  const counted = new Map<string, number>();
  const [candidates, nearMisses]: [Candidate[], Candidate[]] = [[], []];
  const specs = Object.entries(family.attributes);
  for (const part of parts) {
    const { first, isSeveral } = part.shelf
      ? shelvedFailsBy(family, need, part, context)
      : failsBy({ attributes: specs, never: family.never }, need, part, context);
    if (first !== undefined) counted.set(first, (counted.get(first) ?? 0) + 1);
    if (!isSeveral)
      (first === undefined ? candidates : nearMisses).push(matchPart(family, need, part, context));
  }
  return {
    candidates: candidates.sort(before),
    nearMisses: nearMisses.sort(before),
    rejected: Object.fromEntries([...counted].sort(([, one], [, other]) => other - one)),
  };
}
