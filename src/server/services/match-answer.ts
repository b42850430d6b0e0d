import type { Combination } from "@/core/matching/combine";
import type { AttributeSpec, Family } from "@/core/matching/family";
import { worstOf } from "@/core/matching/judge";
import { type Candidate, matchPart } from "@/core/matching/match";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { valuesOf } from "@/core/matching/needs";
import type { Attributes, Part } from "@/core/matching/part";
import type { PartMatch } from "@/core/matching/part-match";
import { withNotes } from "@/core/matching/reserves";
import { fitWords } from "@/core/matching/said";
import { formatValue } from "@/core/matching/typed";
import { betterThanSingle } from "./match-part";

/** What a part on the shelf may fail by, beside its attributes. */
const SHELF_LABELS: ReadonlyMap<string, string> = new Map([
  ["count", "Too few here"],
  ["donor", "Used before"],
]);

/** As many as a screen shows. */
const MOST_CANDIDATES = 30;
const MOST_NEAR = 12;

const choicesOf = ({ choices }: AttributeSpec) =>
  Object.entries(choices ?? {}).map(([value, label]) => ({ value, label }));

/** The small parts that go with a part, on the same order. */
function smallParts({ goesWith }: Family, need: Attributes, { attributes }: Part) {
  return goesWith
    .filter(({ when }) => when === undefined || when(need, attributes))
    .map(({ when: _, ...small }) => small);
}

function candidateWords(
  { family, notes }: Pick<PartMatch, "family" | "notes">,
  need: ReturnType<typeof valuesOf>,
  { part, fit, attributes }: Candidate,
) {
  const { id, label, priceMinor, days, supplier, shelf } = part;
  return {
    id,
    label,
    fit: withNotes(fit, notes),
    priceMinor,
    days,
    supplier,
    shelf: shelf ? { place: shelf.place, count: shelf.count } : null,
    marks: attributes.map((one) => ({
      attribute: one.id,
      fit: one.fit,
      said: fitWords(family, one),
    })),
    goesWith: smallParts(family, need, part),
  };
}

type Said = (id: string, value: Candidate["part"]["attributes"][string]) => string | null;

function neededWords(
  family: Family,
  requirement: PartMatch["requirement"],
  said: Said,
): MatchAnswer["needed"] {
  return requirement.needed.flatMap((one) => {
    const spec = family.attributes[one.id];
    if (!spec) return [];
    const { label, how, minutes, isHard } = spec;
    return [
      {
        id: one.id,
        label,
        value: said(one.id, one.value),
        from: one.from ?? null,
        said: one.said,
        sure: one.sure,
        isHard: isHard === true,
        choices: choicesOf(spec),
        how,
        minutes,
      },
    ];
  });
}

function drawingOf({ drawing }: Family): MatchAnswer["drawing"] {
  return {
    told: drawing.told,
    words: Object.entries(drawing.words ?? {}).map(([of, words]) => ({ of, words })),
    shapes: drawing.shapes.map((shape) => ({ ...shape })),
    marks: drawing.marks.map(({ from, to, label, ...mark }) => ({
      ...mark,
      from: [...from],
      to: [...to],
      label: [...label],
    })),
  };
}

function togetherWords(
  family: Family,
  need: Attributes,
  { id, parts, total, said, fit, priceMinor, days }: Combination,
) {
  const small = parts[0] ? smallParts(family, need, parts[0]) : [];
  return {
    id,
    parts: parts.map(({ label, supplier, shelf }) => ({ label, supplier, place: shelf?.place ?? null })),
    total,
    // Each of them gets its own.
    goesWith: small.map((one) => ({ ...one, count: one.count * parts.length })),
    said,
    fit: worstOf([fit, "note"]),
    priceMinor,
    days,
  };
}

/** A match in the words of a screen. */
export async function matchAnswer(match: PartMatch): Promise<MatchAnswer> {
  const { family, context, requirement, matched, asks, notes } = match;
  const need = valuesOf(requirement);
  const labelOf = (id: string): string =>
    SHELF_LABELS.get(id) ??
    family.attributes[id]?.label ??
    family.never.find((one) => one.id === id)?.said.replace(/[:.].*$/, "") ??
    id;
  const said: Said = (id, value) => {
    const spec = family.attributes[id];
    return spec && value !== undefined ? formatValue(spec, value) : null;
  };
  const rejected = Object.entries(matched.rejected).map(([id, count]) => ({ label: labelOf(id), count }));
  return {
    family: { id: family.id, title: family.title, hasMark: family.readMark !== undefined },
    drawing: drawingOf(family),
    fitted: family.fitted ?? 1,
    schools: Object.entries(family.schools).map(([id, { label, choices }]) => ({
      id,
      label,
      chosen: context.schools[id] ?? "",
      choices: choices.map((one) => ({ ...one })),
    })),
    needed: neededWords(family, requirement, said),
    notes: [...notes],
    conflicts: requirement.conflicts.map(({ attribute, sources, proposed, takes }) => ({
      attribute,
      label: labelOf(attribute),
      sources: sources.map(({ from, value, said: who }) => ({
        from,
        value: said(attribute, value) ?? "",
        said: who,
        canBeTaken: takes.includes(from),
      })),
      proposed: proposed.from,
    })),
    asks: asks.map(({ attribute, how, minutes, removes }) => ({
      attribute,
      label: labelOf(attribute),
      how,
      minutes,
      removes,
    })),
    candidates: matched.candidates
      .slice(0, MOST_CANDIDATES)
      .map(({ part }) => candidateWords(match, need, matchPart(family, need, part, context))),
    found: matched.candidates.length,
    together: (await betterThanSingle(match)).map((one) => togetherWords(family, need, one)),
    nearMisses: matched.nearMisses.slice(0, MOST_NEAR).map(({ part }) => ({
      id: part.id,
      label: part.label,
      said: matchPart(family, need, part, context)
        .attributes.filter(({ fit }) => fit === "reject")
        .map((one) => fitWords(family, one))
        .join(" "),
    })),
    rejected,
  };
}
