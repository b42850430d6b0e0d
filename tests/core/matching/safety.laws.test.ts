import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { JobFacts } from "@/core/matching/facts";
import {
  type AttributeSpec,
  chosenSchools,
  type Family,
  isOfKind,
  type Schools,
} from "@/core/matching/family";
import { judgeAttribute, type MatchContext } from "@/core/matching/judge";
import { matchParts } from "@/core/matching/match";
import { requirementOf, valuesOf } from "@/core/matching/needs";
import type { Part, Value } from "@/core/matching/part";
import { listed } from "@/core/matching/price-list";
import { reserved } from "@/core/matching/reserves";
import { FROMS, type Source } from "@/core/matching/source";
import { agree, isStricter } from "@/core/matching/stricter";
import { allFamilies } from "@/parts/registry";
import { LIMITS, RUNS } from "../shop-context";

const FAMILIES = await allFamilies();
const PARTS = new Map(FAMILIES.map((family) => [family.id, listed(family, family.series(), "list")]));

/** Families with a rating that a print can state and that has a better and a worse side. */
const RATED = FAMILIES.flatMap((family) =>
  Object.entries(family.attributes).flatMap(([id, spec]) =>
    spec.isSafety && !spec.isOfMachine ? [{ family, id, spec }] : [],
  ),
);

const contextOf = (family: Family, set: Schools): MatchContext => ({
  limits: LIMITS,
  schools: chosenSchools(family, set),
});

/** What a list has of an attribute, and figures a little to its sides. */
function valuesIn(family: Family, id: string, spec: AttributeSpec): readonly Value[] {
  const sold = [...new Set((PARTS.get(family.id) ?? []).map(({ attributes }) => attributes[id]))];
  const known = sold.filter((value): value is Value => value !== undefined && isOfKind(spec, value));
  const beside = known.flatMap((value) => (typeof value === "number" ? [value * 0.5, value * 1.7] : []));
  return [...known, ...beside, ...Object.keys(spec.choices ?? {})];
}

/** A print, figures that are typed in any order, any source taken, any school. */
const said = fc.constantFrom(...RATED).chain(({ family, id, spec }) => {
  const value = fc.constantFrom(...valuesIn(family, id, spec));
  return fc.record({
    family: fc.constant(family),
    id: fc.constant(id),
    spec: fc.constant(spec),
    printed: value,
    from: fc.constantFrom("marked" as const, "plate" as const),
    typed: fc.array(fc.record({ value, from: fc.constantFrom("measured", "sheet", "assumed") }), {
      maxLength: 3,
    }),
    printAt: fc.nat({ max: 3 }),
    settled: fc.option(fc.constantFrom(...FROMS), { nil: undefined }),
    schools: fc.record(
      Object.fromEntries(
        Object.entries(family.schools).map(([school, { choices }]) => [
          school,
          fc.constantFrom(...choices.map((one) => one.value), "of one's own"),
        ]),
      ),
    ),
  });
});

function requirementFor({
  family,
  id,
  printed,
  from,
  typed,
  printAt,
  settled,
  schools,
}: typeof said extends fc.Arbitrary<infer T> ? T : never) {
  const context = contextOf(family, schools);
  const figures = typed.map(
    (one): Source => ({ attribute: id, value: one.value, from: one.from as Source["from"], said: "" }),
  );
  const print: Source = { attribute: id, value: printed, from, said: "" };
  const sources = [...figures.slice(0, printAt), print, ...figures.slice(printAt)];
  const requirement = requirementOf(family, sources, settled === undefined ? {} : { [id]: settled }, context);
  return { context, requirement, need: valuesOf(requirement) };
}

/** Whether what is offered falls short of a print: a fuse or a cut-out that opens sooner does not. */
function isWorse(spec: AttributeSpec, printed: Value, offered: Value, context: MatchContext): boolean {
  if (spec.rule.kind === "at-most") return Number(offered) > Number(printed);
  return judgeAttribute("", spec, printed, offered, context).fit === "reject";
}

describe("a rating of safety that is printed", () => {
  it("is never given away: nothing that falls short of it is proposed, whatever is typed, taken or set", () => {
    let tried = 0;
    fc.assert(
      fc.property(said, (one) => {
        const { context, requirement, need } = requirementFor(one);
        const value = need[one.id];
        // Open, so that nothing can be chosen, or at least as much as is printed.
        if (value === undefined) {
          expect(requirement.conflicts).toHaveLength(1);
          return;
        }
        const parts: readonly Part[] = (PARTS.get(one.family.id) ?? []).filter((_, index) => index % 7 === 0);
        for (const { part } of matchParts(one.family, need, parts, context).candidates) {
          const offered = part.attributes[one.id];
          if (offered === undefined) continue;
          tried += 1;
          expect(
            isWorse(one.spec, one.printed, offered, context),
            `${one.family.id} ${one.id}: printed ${JSON.stringify(one.printed)}, offered ${JSON.stringify(offered)}`,
          ).toBe(false);
        }
      }),
      { numRuns: RUNS.numRuns * 4 },
    );
    expect(tried).toBeGreaterThan(100);
  });

  it("is what a contradiction offers to take, never the laxer figure", () => {
    fc.assert(
      fc.property(said, (one) => {
        const { context, requirement } = requirementFor({ ...one, settled: undefined });
        for (const { sources, takes, proposed } of requirement.conflicts) {
          expect(takes).toContain(proposed.from);
          const lax = sources.filter(({ value }) => isStricter(one.spec, one.printed, value, context));
          for (const { from } of lax) expect(takes).not.toContain(from);
        }
      }),
      RUNS,
    );
  });

  it("gives way to a figure that asks for more", () => {
    fc.assert(
      fc.property(said, (one) => {
        const context = contextOf(one.family, {});
        const typed = {
          attribute: one.id,
          value: one.typed[0]?.value ?? one.printed,
          from: "measured",
          said: "",
        } as const;
        fc.pre(isStricter(one.spec, typed.value, one.printed, context));
        const print = { attribute: one.id, value: one.printed, from: one.from, said: "" };
        const { conflicts, needed } = requirementOf(one.family, [print, typed], {}, context);
        expect(conflicts).toEqual([]);
        expect(needed.find(({ id }) => id === one.id)?.value).toEqual(typed.value);
        expect(agree(one.spec, typed.value, typed.value, context)).toBe(true);
      }),
      { ...RUNS, maxSkipsPerRun: 1000 },
    );
  });
});

describe("what a need holds back", () => {
  const FACTS: JobFacts = {
    marks: {},
    hadResistor: false,
    floors: { start: 249, run: 345 },
    plate: {},
    mains: { volts: 230, hertz: 50 },
    earth: { isNeeded: true, said: "" },
    motor: undefined,
  };
  const family = (id: string): Family => {
    const found = FAMILIES.find((one) => one.id === id);
    if (!found) throw new Error(`no family ${id}`);
    return found;
  };
  const typed = (values: Readonly<Record<string, Value>>, from: Source["from"] = "measured"): Source[] =>
    Object.entries(values).map(([attribute, value]) => ({ attribute, value, from, said: "" }));
  function held(id: string, sources: readonly Source[], plate: JobFacts["plate"] = {}) {
    const of = family(id);
    const facts = { ...FACTS, plate };
    const known = [...sources, ...(of.fromJob?.(facts) ?? [])];
    const context = contextOf(of, {});
    const { requirement, notes } = reserved(of, requirementOf(of, known, {}, context), facts, context);
    return { need: valuesOf(requirement), notes, said: requirement.needed };
  }

  it("a fuse by its mark; without one up to the plate's amps, slow and quick; without a plate not at all", () => {
    expect(held("fuse", typed({ amps: 10 }, "marked"), { amps: 3 }).need["amps"]).toBe(10);
    const slow = typed({ amps: 5, speed: "T" });
    expect(held("fuse", slow, { amps: 3 })).toMatchObject({
      need: { amps: 5 },
      notes: [expect.stringContaining("5.25 A")],
    });
    expect(held("fuse", typed({ amps: 6.3, speed: "T" }), { amps: 3 }).need["amps"]).toBeUndefined();
    expect(held("fuse", typed({ amps: 6.3, speed: "F" }), { amps: 3 }).need["amps"]).toBe(6.3);
    expect(held("fuse", typed({ amps: 10, speed: "F" }), { amps: 3 }).need["amps"]).toBeUndefined();
    expect(held("fuse", slow).need["amps"]).toBeUndefined();
    // Worked out from the plate alone there is none.
    expect(held("fuse", [], { amps: 3 }).need["amps"]).toBeUndefined();
  });

  it("a fuse in a plug by its cord, whatever was in there", () => {
    const plug = { body: "plug-top", speed: "F" };
    const marked = typed({ amps: 13 }, "marked");
    expect(held("fuse", [...typed(plug), ...marked]).need["amps"]).toBeUndefined();
    expect(held("fuse", [...typed({ ...plug, cord: 0.75e-6 }), ...marked]).need["amps"]).toBeUndefined();
    expect(held("fuse", [...typed({ ...plug, cord: 1.5e-6 }), ...marked]).need["amps"]).toBe(13);
    expect(held("fuse", typed({ ...plug, cord: 0.5e-6, amps: 3 })).need["amps"]).toBe(3);
  });

  it("a cord by the plate's amps to the end of the table, then for an electrician", () => {
    const section = (amps: number) => held("cord", [], { amps }).need["section"];
    expect([6, 10, 16, 25, 32].map(section)).toEqual([0.75e-6, 1e-6, 1.5e-6, 2.5e-6, 4e-6]);
    const beyond = held("cord", typed({ section: 4e-6 }), { amps: 33 });
    expect(beyond.need["section"]).toBeUndefined();
    expect(beyond.said.find(({ id }) => id === "section")?.said).toContain("licensed electrician");
    expect(held("cord", typed({ section: 1e-6 })).notes).toHaveLength(1);
  });
});
