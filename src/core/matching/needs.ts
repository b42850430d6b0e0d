import { type AttributeSpec, type Family, isOfKind } from "./family";
import type { MatchContext } from "./judge";
import type { Attributes, Value } from "./part";
import { FROMS, type From, type Source, SURE } from "./source";
import { agree, isStricter } from "./stricter";

/** An attribute of what is needed: its value with where it comes from, or nothing yet. */
export interface Needed {
  readonly id: string;
  readonly value: Value | undefined;
  readonly from: From | undefined;
  readonly said: string;
  /** Share from 0 (nothing is known) to 1. */
  readonly sure: number;
}

/** Two sources that cannot both be right: nothing is matched before one of them is taken. */
export interface Conflict {
  readonly attribute: string;
  readonly sources: readonly Source[];
  /** The one that is proposed. */
  readonly proposed: Source;
  /** Those that can be taken: of an attribute of safety never one that asks for less than is printed. */
  readonly takes: readonly From[];
}

export interface Requirement {
  readonly family: string;
  readonly needed: readonly Needed[];
  readonly conflicts: readonly Conflict[];
}

/** Sources that state a fact of the part, which may contradict each other; the others give way. */
const FACTS: ReadonlySet<From> = new Set(["measured", "marked", "plate", "sheet"]);

/** What is printed on the part or the machine, or follows from the machine: of a rating of safety, what is typed may only be stricter. */
const PRINTED: ReadonlySet<From> = new Set(["marked", "plate", "worked-out"]);
const WORN = "; what was typed is not taken, a worn part measures otherwise";

const bySurety = (sources: readonly Source[]): readonly Source[] =>
  [...sources].sort((one, other) => FROMS.indexOf(one.from) - FROMS.indexOf(other.from));

/** Of what is known the one that asks for most, else the first: what was fitted before may have been wrong already. */
function strictest(
  spec: AttributeSpec,
  [first, ...others]: readonly Source[],
  context: MatchContext,
): Source | undefined {
  if (!first) return undefined;
  return others.reduce((most, one) => (isStricter(spec, one.value, most.value, context) ? one : most), first);
}

/** One attribute with all that is known of it. */
interface Asked {
  readonly id: string;
  readonly spec: AttributeSpec;
  readonly sources: readonly Source[];
  /** The source that was taken. */
  readonly settled: From | undefined;
  readonly context: MatchContext;
}

interface Settled {
  readonly needed: Needed;
  readonly conflict?: Conflict;
}

const nothing = (id: string, said = ""): Needed => ({ id, value: undefined, from: undefined, said, sure: 0 });

const taken = (id: string, { value, from, said }: Source, isWornPassedOver: boolean): Settled => ({
  needed: { id, value, from, said: isWornPassedOver ? `${said}${WORN}` : said, sure: SURE[from] },
});

/** What is not settled yet: nothing is matched by it before somebody looked again. */
const unsettled = (
  id: string,
  proposed: Source,
  against: readonly Source[],
  canBeTaken: (one: Source) => boolean,
): Settled => ({
  needed: nothing(id, "two sources differ"),
  conflict: {
    attribute: id,
    sources: [proposed, ...against],
    proposed,
    takes: [proposed, ...against].filter(canBeTaken).map(({ from }) => from),
  },
});

/**
 * An attribute of safety. What follows from the machine binds; of what is printed the strictest counts; what is typed counts where
 * nothing is printed, or where it asks for more. What is typed and asks for less, or for something else, is a contradiction: the
 * print is taken, or read and written anew, never what was typed.
 */
function ofSafety({ id, spec, sources, settled, context }: Asked): Settled {
  const sorted = bySurety(sources);
  const printed = sorted.filter(({ from }) => PRINTED.has(from));
  const [pool, typed] =
    printed.length > 0 ? [printed, sorted.filter((one) => !printed.includes(one))] : [sorted, []];
  const binding = pool.filter(({ from }) => from === "worked-out");
  const first = pool.filter(({ from }) => from === settled);
  const base = strictest(spec, [...binding, ...first, ...pool], context);
  if (!base) return { needed: nothing(id) };
  const asksLess = (one: Source): boolean => isStricter(spec, base.value, one.value, context);
  // A floor of the supply above what was fitted is no contradiction: the old one was wrong, or is another's.
  const isFloor = base.from === "worked-out" && spec.rule.kind === "at-least";
  const against = sorted.filter(
    (one) =>
      FACTS.has(one.from) &&
      !agree(spec, base.value, one.value, context) &&
      !(isFloor && asksLess(one)) &&
      !isStricter(spec, one.value, base.value, context),
  );
  const isPrint = (one: Source): boolean => pool.includes(one) && binding.length === 0 && !asksLess(one);
  if (against.length > 0 && settled !== base.from)
    return unsettled(id, base, against, (one) => one === base || isPrint(one));
  const most = strictest(spec, [base, ...typed.filter(({ from }) => from !== "assumed")], context) ?? base;
  const isPassedOver = typed.some(
    (one) => one.from === "assumed" && !agree(spec, base.value, one.value, context),
  );
  return taken(id, most, isPassedOver);
}

/** Facts that were not taken give way to the one that was. */
function leftAfter(sources: readonly Source[], settled: From | undefined): readonly Source[] {
  const isTaken = sources.some(({ from }) => from === settled);
  return isTaken ? sources.filter(({ from }) => from === settled || !FACTS.has(from)) : sources;
}

/** Any other attribute: the surest source counts, and one that measures goes before a stamp. */
function ofFit({ id, spec, sources, settled, context }: Asked): Settled {
  const [first, ...others] = bySurety(leftAfter(sources, settled));
  if (!first) return { needed: nothing(id) };
  const differing = others.filter((one) => !agree(spec, first.value, one.value, context));
  const against = differing.filter(({ from }) => FACTS.has(from));
  if (against.length > 0 && FACTS.has(first.from)) return unsettled(id, first, against, () => true);
  const isWorn = spec.wears === true && first.from !== "assumed";
  return taken(id, first, isWorn && differing.some(({ from }) => from === "assumed"));
}

/**
 * What is needed, from all that is known of it. The surest source of each attribute counts; two that state different facts
 * are a conflict, and the attribute stays open until one of them is taken. Of an attribute of safety what follows from the machine
 * or is printed is never overruled by what is typed, which can only ask for more.
 * @param settled the source that was taken, by attribute: "measured" where the caliper is believed
 * @throws RangeError where a source names an attribute that the family has not, or a value that cannot be one
 */
export function requirementOf(
  family: Family,
  sources: readonly Source[],
  settled: Readonly<Record<string, From>>,
  context: MatchContext,
): Requirement {
  for (const { attribute, value } of sources) {
    const spec = family.attributes[attribute];
    if (!spec) throw new RangeError(`a ${family.title} has no "${attribute}"`);
    if (!isOfKind(spec, value))
      throw new RangeError(`"${JSON.stringify(value)}" cannot be the ${spec.label} of a ${family.title}`);
  }
  const all = Object.entries(family.attributes).map(([id, spec]) => {
    const own = sources.filter(({ attribute }) => attribute === id);
    return (spec.isSafety ? ofSafety : ofFit)({ id, spec, sources: own, settled: settled[id], context });
  });
  return {
    family: family.id,
    needed: all.map(({ needed }) => needed),
    conflicts: all.flatMap(({ conflict }) => conflict ?? []),
  };
}

/** The values alone, of what is known. */
export const valuesOf = ({ needed }: Requirement): Attributes =>
  Object.fromEntries(needed.map(({ id, value }) => [id, value]));
