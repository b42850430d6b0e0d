import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { whatToAsk } from "@/core/matching/ask";
import type { JobFacts } from "@/core/matching/facts";
import { chosenSchools, type Family, isOfKind, type Schools } from "@/core/matching/family";
import { FITS, type MatchContext } from "@/core/matching/judge";
import { matchPart, matchParts, weigh } from "@/core/matching/match";
import { requirementOf } from "@/core/matching/needs";
import { type Attributes, isSpan, type Part, type Value } from "@/core/matching/part";
import { familyOf } from "@/core/matching/places";
import { listed, priceList } from "@/core/matching/price-list";
import { formatValue, parseValue } from "@/core/matching/typed";
import { allFamilies } from "@/parts/registry";
import { KNOWLEDGE, LIMITS, RUNS } from "../shop-context";

const FAMILIES = await allFamilies();
const PARTS = new Map(FAMILIES.map((family) => [family.id, listed(family, family.series(), "list")]));
const partsOf = (family: Family): readonly Part[] => PARTS.get(family.id) ?? [];

/** Every choice of every school of a family. */
function everySchool({ schools }: Family): Schools[] {
  return Object.entries(schools).reduce<Schools[]>(
    (all, [id, { choices }]) => all.flatMap((one) => choices.map(({ value }) => ({ ...one, [id]: value }))),
    [{}],
  );
}
const contextOf = (family: Family, set: Schools = {}): MatchContext => ({
  limits: LIMITS,
  schools: chosenSchools(family, set),
});
const needOf = (family: Family, part: Part): Attributes =>
  Object.fromEntries(Object.keys(family.attributes).map((id) => [id, part.attributes[id]]));
const isNever = (family: Family, part: Part): boolean =>
  family.never.some(({ when }) => when(part.attributes, part.attributes));

/** Two parts of one family that may be fitted at all, by their place in the list. */
const pair = fc.tuple(fc.constantFrom(...FAMILIES), fc.nat(), fc.nat()).map(([family, one, other]) => {
  const parts = partsOf(family).filter((part) => !isNever(family, part));
  const at = (index: number): Part => parts[index % parts.length] ?? (parts[0] as Part);
  return { family, old: at(one), offered: at(other) };
});

/** What a job may know of its machine, whatever motor it has. */
const jobFacts: fc.Arbitrary<JobFacts> = fc.record({
  marks: fc.constant({}),
  hadResistor: fc.boolean(),
  floors: fc.constant({ start: 120, run: 380 }),
  plate: fc.record(
    {
      volts: fc.integer({ min: 1, max: 600 }),
      hertz: fc.constantFrom(50, 60),
      amps: fc.double({ min: 0.01, max: 40, noNaN: true }),
      watts: fc.integer({ min: 1, max: 5000 }),
      poles: fc.constantFrom(2, 4, 6, 8, 10, 12),
    },
    { requiredKeys: [] },
  ),
  mains: fc.constantFrom({ volts: 230, hertz: 50 }, { volts: 120, hertz: 60 }),
  earth: fc.constantFrom({ isNeeded: true, said: "" }, { isNeeded: false, said: "" }, undefined),
  motor: fc.constantFrom(
    undefined,
    ...KNOWLEDGE.families.map(({ id }) => id).filter((id) => id !== "not-known"),
  ),
});

it("a repair is done with a new part only exactly where its family of parts says so", () => {
  const newOnly = new Set(FAMILIES.filter(({ used }) => "never" in used).map(({ id }) => id));
  for (const { id, forPart, isNewOnly } of KNOWLEDGE.repairs)
    expect(isNewOnly === true, id).toBe(forPart !== undefined && newOnly.has(familyOf(forPart)));
});

describe.each(FAMILIES.map((family) => [family.id, family] as const))("%s", (_, family) => {
  it("lists parts whose every attribute can be one, each under a name of its own", () => {
    const parts = partsOf(family);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
    for (const { attributes, priceMinor, days } of parts) {
      for (const [id, spec] of Object.entries(family.attributes)) {
        const value = attributes[id];
        if (value !== undefined) expect(isOfKind(spec, value), `${id} ${JSON.stringify(value)}`).toBe(true);
      }
      expect(Number.isInteger(priceMinor) && priceMinor > 0 && days >= 0).toBe(true);
    }
  });

  it("takes what any job knows, whatever its motor", () => {
    fc.assert(
      fc.property(jobFacts, (facts) => {
        const sources = family.fromJob?.(facts) ?? [];
        expect(requirementOf(family, sources, {}, contextOf(family)).conflicts).toEqual([]);
      }),
      RUNS,
    );
  });

  it("has words for every note that a rule or a refusal names", () => {
    for (const { rule } of Object.values(family.attributes)) {
      if (rule.kind !== "instead") continue;
      const tables = [rule.notes, ...(rule.bySchool ? [rule.bySchool.notes] : [])];
      for (const note of tables.flatMap((table) => Object.values(table).flatMap((row) => Object.values(row))))
        expect(family.notes[note], note).toMatch(/\.$/);
    }
    for (const { said } of family.never) expect(said).toMatch(/\.$/);
    expect(family.attributes[family.key]).toBeDefined();
  });

  it("every part fits in its own place, and what may never be fitted does not", () => {
    for (const part of partsOf(family)) {
      const { fit, isSafety } = matchPart(family, needOf(family, part), part, contextOf(family));
      if (isNever(family, part)) expect([fit, isSafety]).toEqual(["reject", true]);
      else expect(fit, part.label).toBe("fit");
    }
  });

  it("reads what it prints", () => {
    for (const { attributes } of partsOf(family).slice(0, 400))
      for (const [id, spec] of Object.entries(family.attributes)) {
        const value = attributes[id];
        if (value === undefined || value === 0) continue;
        const read = parseValue(spec, formatValue(spec, value));
        expect(read.ok && read.value, `${id}: ${formatValue(spec, value)}`).toEqual(value);
      }
  });
});

describe("parts against what is needed", () => {
  it("what is rejected for safety is rejected under every school", () => {
    fc.assert(
      fc.property(pair, ({ family, old, offered }) => {
        const need = needOf(family, old);
        const found = everySchool(family).map((set) =>
          matchPart(family, need, offered, contextOf(family, set)),
        );
        if (found.some(({ isSafety }) => isSafety))
          expect(found.map(({ fit }) => fit)).toEqual(found.map(() => "reject"));
      }),
      RUNS,
    );
  });

  /** A need made stricter in one figure: a rating raised, a ceiling lowered, a range's lower end raised. */
  function tightened(family: Family, need: Attributes, share: number): Attributes[] {
    return Object.entries(family.attributes).flatMap(([id, { rule }]): Attributes[] => {
      const value = need[id];
      const change = (next: Value): Attributes[] => [{ ...need, [id]: next }];
      if (typeof value === "number" && rule.kind === "at-least") return change(value * (1 + share));
      if (typeof value === "number" && rule.kind === "trim") return change(value * (1 + share));
      return isSpan(value) && rule.kind === "span" ? change({ ...value, min: value.min * (1 + share) }) : [];
    });
  }

  it("a stricter figure never lets a part in that a looser one kept out", () => {
    fc.assert(
      fc.property(pair, fc.double({ min: 0.05, max: 1, noNaN: true }), ({ family, old, offered }, share) => {
        const context = contextOf(family);
        const need = needOf(family, old);
        const before = matchPart(family, need, offered, context);
        for (const stricter of tightened(family, need, share)) {
          const after = matchPart(family, stricter, offered, context);
          if (before.fit === "reject") expect(after.fit).toBe("reject");
        }
      }),
      RUNS,
    );
  });

  it("the unit in which a length is typed changes no verdict", () => {
    const UNITS = [
      ["mm", 1e-3],
      ["cm", 1e-2],
      ["m", 1],
      ["in", 0.0254],
    ] as const;
    fc.assert(
      fc.property(pair, fc.constantFrom(...UNITS), ({ family, old, offered }, [unit, metres]) => {
        const context = contextOf(family);
        const need = needOf(family, old);
        const typed = Object.entries(family.attributes).flatMap(([id, spec]) => {
          const value = need[id];
          if (spec.unit !== "m" || typeof value !== "number") return [];
          const read = parseValue(spec, `${(value / metres).toFixed(9)} ${unit}`);
          expect(read.ok, `${value} in ${unit}`).toBe(true);
          return read.ok ? [[id, read.value] as const] : [];
        });
        const before = matchPart(family, need, offered, context);
        const after = matchPart(family, { ...need, ...Object.fromEntries(typed) }, offered, context);
        expect(after.attributes.map(({ id, fit }) => [id, fit])).toEqual(
          before.attributes.map(({ id, fit }) => [id, fit]),
        );
      }),
      RUNS,
    );
  });

  it("a list weighs a part as it is judged by itself", () => {
    fc.assert(
      fc.property(pair, fc.nat(), ({ family, old }, seed) => {
        const context = contextOf(family);
        const need = needOf(family, old);
        const parts = partsOf(family);
        const part = parts[seed % parts.length];
        if (!part) return;
        const { fit, attributes } = matchPart(family, need, part, context);
        const failing = attributes.filter((one) => one.fit === "reject").map(({ id }) => id);
        const weighed = weigh(family, need, part, context);
        expect(weighed).toMatchObject({ fit, first: failing[0], isSeveral: failing.length > 1 });
        if (failing.length < 2)
          expect(weighed.notes).toBe(attributes.filter((one) => one.fit !== "fit").length);
      }),
      RUNS,
    );
  });

  it("the list is searched without losing a candidate that all parts would give", () => {
    fc.assert(
      fc.property(pair, fc.boolean(), ({ family, old }, isKeyKnown) => {
        const context = contextOf(family);
        const need = { ...needOf(family, old), ...(isKeyKnown ? {} : { [family.key]: undefined }) };
        const all = matchParts(family, need, partsOf(family), context);
        const near = matchParts(family, need, priceList(family, partsOf(family)).near(need), context);
        expect(near.candidates).toEqual(all.candidates);
      }),
      { numRuns: Math.min(RUNS.numRuns, 60) },
    );
  });

  it("the order is the same whatever the list's, and the better fit is never behind the worse", () => {
    fc.assert(
      fc.property(pair, fc.nat(), ({ family, old }, seed) => {
        const context = contextOf(family);
        const need = needOf(family, old);
        const near = priceList(family, partsOf(family)).near(need);
        const turned = [
          ...near.slice(seed % (near.length || 1)),
          ...near.slice(0, seed % (near.length || 1)),
        ];
        const names = (parts: readonly Part[]): string[] =>
          matchParts(family, need, parts, context).candidates.map(({ part }) => part.id);
        expect(names(turned)).toEqual(names(near));
        const fits = matchParts(family, need, near, context).candidates.map(({ fit }) => FITS.indexOf(fit));
        expect(fits).toEqual([...fits].sort((one, other) => one - other));
      }),
      { numRuns: Math.min(RUNS.numRuns, 60) },
    );
  });

  it("what is not known keeps every part open, and is asked for", () => {
    fc.assert(
      fc.property(pair, ({ family, old }) => {
        const context = contextOf(family);
        const hard = Object.entries(family.attributes).filter(([, { isHard }]) => isHard === true);
        const [id = ""] = hard[0] ?? [];
        const need = { ...needOf(family, old), [id]: undefined };
        const own = matchPart(family, need, old, context);
        expect(own.fit).toBe("open");
        const { candidates } = matchParts(family, need, partsOf(family).slice(0, 300), context);
        expect(whatToAsk(family, need, candidates, context).map(({ attribute }) => attribute)).toEqual([id]);
      }),
      { numRuns: Math.min(RUNS.numRuns, 60) },
    );
  });

  it("no text breaks a mark's reader or a field's", () => {
    const specs = FAMILIES.flatMap(({ attributes }) => Object.values(attributes));
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.string({ unit: fc.constantFrom(...'T6308-2RS ×x.,/°CAVμF"in½') })),
        (text) => {
          for (const family of FAMILIES) expect(() => family.readMark?.(text)).not.toThrow();
          for (const spec of specs.slice(0, 60)) expect(() => parseValue(spec, text)).not.toThrow();
        },
      ),
      RUNS,
    );
  });
});
