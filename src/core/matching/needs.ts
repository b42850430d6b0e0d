import { type AttributeSpec, type Family, isOfKind } from "./family";
import { judgeAttribute, type MatchContext } from "./judge";
import type { Attributes, Value } from "./part";
import { FROMS, type From, type Source, SURE } from "./source";

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
}

export interface Requirement {
  readonly family: string;
  readonly needed: readonly Needed[];
  readonly conflicts: readonly Conflict[];
}

/** Sources that state a fact of the part, which may contradict each other; the others give way. */
const FACTS: ReadonlySet<From> = new Set(["measured", "marked", "plate", "sheet"]);

/** Whether two sources can both be right: the one would do in the place of the other, both ways. */
function agree(spec: AttributeSpec, one: Source, other: Source, context: MatchContext): boolean {
  const both = [
    judgeAttribute("", spec, one.value, other.value, context),
    judgeAttribute("", spec, other.value, one.value, context),
  ];
  return both.every(({ fit, reason }) => fit === "fit" && reason.code !== "better");
}

/** Of a rating the highest that anything asks for: what was fitted before may have been wrong already. */
function strictest({ rule }: AttributeSpec, sources: readonly Source[]): Source | undefined {
  if (rule.kind !== "at-least") return undefined;
  return sources.reduce((most, one) => (Number(one.value) > Number(most.value) ? one : most));
}

/** What follows from the machine binds an attribute of safety: a class I machine keeps its earth, whatever the old plug had. */
function bindingIn(spec: AttributeSpec, sources: readonly Source[]): Source | undefined {
  if (spec.isSafety !== true || spec.rule.kind === "at-least") return undefined;
  return sources.find(({ from }) => from === "worked-out");
}

/** Facts that were not taken give way to the one that was; what follows from the machine never does. */
function leftAfter(sources: readonly Source[], settled: From | undefined): readonly Source[] {
  const isTaken = sources.some(({ from }) => from === settled);
  return isTaken ? sources.filter(({ from }) => from === settled || !FACTS.has(from)) : sources;
}

function neededOf(
  id: string,
  spec: AttributeSpec,
  sources: readonly Source[],
  settled: From | undefined,
  context: MatchContext,
): { readonly needed: Needed; readonly conflict?: Conflict } {
  const binding = bindingIn(spec, sources);
  const sorted = [...leftAfter(sources, settled)].sort(
    (one, other) => FROMS.indexOf(one.from) - FROMS.indexOf(other.from),
  );
  const first = binding ?? sorted[0];
  if (!first) return { needed: { id, value: undefined, from: undefined, said: "", sure: 0 } };
  const { value, from, said } = strictest(spec, sorted) ?? first;
  const isPassedOver =
    spec.wears === true &&
    from !== "assumed" &&
    sorted.some((one) => one.from === "assumed" && !agree(spec, first, one, context));
  const told = isPassedOver ? `${said}; what was typed is not taken, a worn part measures otherwise` : said;
  const needed = { id, value, from, said: told, sure: SURE[from] };
  // What binds is taken as it is, once somebody has agreed that the other one was wrong.
  if (binding && settled === binding.from) return { needed };
  const against = sorted.filter((one) => FACTS.has(one.from) && !agree(spec, first, one, context));
  if (against.length === 0 || !(binding || FACTS.has(first.from))) return { needed };
  const conflict = { attribute: id, sources: [first, ...against], proposed: first };
  return { needed: { id, value: undefined, from: undefined, said: "two sources differ", sure: 0 }, conflict };
}

/**
 * What is needed, from all that is known of it. The surest source of each attribute counts; two that state different facts
 * are a conflict, and the attribute stays open until one of them is taken. What follows from the machine and is a matter of
 * safety is never overruled.
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
    return neededOf(id, spec, own, settled[id], context);
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
