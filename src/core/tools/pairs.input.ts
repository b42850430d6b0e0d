import * as yup from "yup";
import type { QuantityId, Reading } from "../quantity/reading";
import { readingField } from "../quantity/reading.input";
import { asGiven, strictObject } from "../validate";

/** What was read between two leads, by their names. */
export interface PairReading {
  readonly a: string;
  readonly b: string;
  readonly reading: Reading;
}

/** Leads as they are told apart, and the pairs of them that were read. */
export interface LeadPairs {
  readonly leads: readonly string[];
  readonly pairs: readonly PairReading[];
}

const same = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

function twiceNamed(leads: readonly string[]): string | undefined {
  return leads.find((name, index) => leads.findIndex((other) => same(name, other)) !== index);
}

type Pair = Pick<PairReading, "a" | "b">;
interface NamedTable {
  readonly leads: readonly string[];
  readonly pairs: readonly (Pair & { readonly reading: unknown })[];
}

/** The table as far as its names go; undefined where a name is missing, which its own field says. */
function tableIn(value: {
  readonly leads?: readonly (string | undefined)[] | undefined;
  readonly pairs?:
    | readonly ({ readonly a?: string; readonly b?: string; readonly reading?: unknown } | undefined)[]
    | undefined;
}): NamedTable | undefined {
  const { leads, pairs } = value;
  if (!Array.isArray(leads) || !Array.isArray(pairs)) return undefined;
  const named = leads.filter((one): one is string => typeof one === "string");
  const read = pairs.flatMap((one) =>
    typeof one?.a === "string" && typeof one.b === "string"
      ? [{ a: one.a, b: one.b, reading: one.reading }]
      : [],
  );
  return named.length === leads.length && read.length === pairs.length
    ? { leads: named, pairs: read }
    : undefined;
}
const isPair = (one: Pair, other: Pair): boolean =>
  (same(one.a, other.a) && same(one.b, other.b)) || (same(one.a, other.b) && same(one.b, other.a));

/** What keeps pairs from being a table of these leads: an index to the pair, and a sentence. */
function wrongPair({ leads, pairs }: NamedTable): readonly [index: number, message: string] | undefined {
  for (const [index, pair] of pairs.entries()) {
    const unknown = [pair.a, pair.b].find((name) => leads.every((lead) => !same(lead, name)));
    if (unknown !== undefined)
      return [index, `There is no lead "${unknown}" here: the leads are ${leads.join(", ")}.`];
    if (same(pair.a, pair.b))
      return [index, `The pair "${pair.a}-${pair.b}" is one lead: name two different ones.`];
    const before = pairs.findIndex((other) => isPair(other, pair));
    if (before !== index)
      return [
        index,
        `The pair "${pair.a}-${pair.b}" is given twice, ${asGiven(pairs[before]?.reading)} and ${asGiven(pair.reading)}: keep the one that holds.`,
      ];
  }
  return undefined;
}

/**
 * Schema of a table of leads: their names, each once, and readings of pairs of them, each pair once and in either order.
 * @param most leads that the table may have
 */
export function leadPairsSchema(quantity: QuantityId, label: string, most: number) {
  const name = yup.string().label("Name of a lead").required().max(20);
  const pair = strictObject({
    a: name,
    b: name,
    reading: readingField(quantity, label).required(),
  }).required();
  return strictObject({
    leads: yup
      .array(name)
      .label("Leads")
      .required()
      .min(2, "two leads make a pair")
      .max(most, `the lead map takes ${most} leads at most: map what belongs together by itself`),
    pairs: yup.array(pair).label(label).required().min(1, "one pair at least"),
  })
    .label(label)
    .required()
    .test("lead-pairs", "", (value, context) => {
      const table = tableIn(value);
      if (!table) return true;
      const twice = twiceNamed(table.leads);
      if (twice !== undefined)
        return context.createError({
          path: `${context.path}.leads`,
          message: `Two leads are called "${twice}": give each a name of its own.`,
          params: { code: "leads/twice" },
        });
      const wrong = wrongPair(table);
      if (!wrong) return true;
      return context.createError({
        path: `${context.path}.pairs.${wrong[0]}`,
        message: wrong[1],
        params: { code: "leads/pair" },
      });
    });
}
