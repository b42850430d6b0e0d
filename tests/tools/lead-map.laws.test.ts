import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { leadPairText, parseLeadPair } from "@/core/markings/lead-pair";
import { seededRandom } from "@/core/seeded-random";
import { fitNetwork } from "@/core/windings/fit";
import { connectedGraphs, hiddenStars } from "@/core/windings/graphs";
import { mapLeads, type PairShown } from "@/core/windings/lead-map";
import { nextPair } from "@/core/windings/next-pair";
import { loadTool } from "@/tools/registry";
import { errorOf, POCKET, randomNetwork } from "../../scripts/lib/random-networks";
import { RUNS, TOOL_CONTEXT } from "../core/shop-context";

const METER = { percent: POCKET.share * 100, counts: POCKET.counts, resolution: "0.1" };
const LAW = { numRuns: Math.ceil(RUNS.numRuns / 2) };
const seed = fc.integer({ min: 1, max: 2 ** 31 });
const tool = await loadTool("lead-map");

type Ends = { readonly a: number; readonly b: number };
const keyOf = (windings: readonly Ends[], place = (lead: number) => lead): string =>
  windings
    .map(({ a, b }) => [place(a), place(b)].sort((one, other) => one - other).join("-"))
    .sort()
    .join();
const keys = (leads: number, shown: readonly PairShown[], place?: (lead: number) => number): string[] =>
  mapLeads(leads, shown)
    .groups.flatMap(({ networks }) => networks.map(({ windings }) => keyOf(windings, place)))
    .sort();

function run(leads: readonly string[], pairs: readonly (readonly [string, string, string])[], more = {}) {
  const input = {
    pairs: { leads, pairs: pairs.map(([a, b, reading]) => ({ a, b, reading })) },
    kind: "not-known",
    warm: "cold",
    meter: METER,
    ...more,
  };
  return tool?.run(input, TOOL_CONTEXT);
}
function said(...given: Parameters<typeof run>): string[] {
  const found = run(...given);
  if (!found?.ok) throw new Error(found?.issues[0]?.message);
  return [...found.value.reasons, ...found.value.cautions].map(({ code }) => code);
}

describe("the map of the leads", () => {
  it("is the same whatever the leads are called and in whatever order they stand", () => {
    fc.assert(
      fc.property(
        seed,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (from, ranks) => {
          const { graph, shown } = randomNetwork(seededRandom(from));
          const order = Array.from({ length: graph.nodes }, (_, lead) => lead).sort(
            (one, other) => (ranks[one] ?? 0) - (ranks[other] ?? 0),
          );
          const swapped = shown.map((one) => ({ ...one, a: order.indexOf(one.a), b: order.indexOf(one.b) }));
          expect(keys(graph.nodes, swapped, (place) => order[place] ?? -1)).toEqual(keys(graph.nodes, shown));
        },
      ),
      LAW,
    );
  });

  it("has the true network in its set, or one with fewer windings", () => {
    fc.assert(
      fc.property(seed, (from) => {
        const { graph, shown } = randomNetwork(seededRandom(from));
        const [group] = mapLeads(graph.nodes, shown).groups;
        const truth = keyOf(graph.joins.map(([a, b]) => ({ a, b })));
        const found = group?.networks.map(({ windings }) => keyOf(windings)) ?? [];
        const fewer = (group?.networks[0]?.windings.length ?? 99) < graph.joins.length;
        expect(fewer || found.includes(truth), `seed ${from}`).toBe(true);
      }),
      LAW,
    );
  });

  it("leaves out no network that brute force finds, and keeps none that it does not", () => {
    fc.assert(
      fc.property(seed, (from) => {
        const random = seededRandom(from);
        const { graph, shown } = randomNetwork(random, 3 + Math.floor(random.next() * 2));
        const kept = shown.filter(() => random.next() < 0.85);
        const [group, ...others] = mapLeads(graph.nodes, kept).groups;
        if (!group || others.length > 0 || group.joined.length > 0 || kept.length === 0) return;
        const all = [0, 1, 2].map((loops) => [
          ...connectedGraphs(graph.nodes, graph.nodes - 1 + loops),
          ...(loops === 1 ? hiddenStars(graph.nodes) : []),
        ]);
        const fits = all.map((graphs, loops) =>
          loops > 0 && graph.nodes - 1 + loops > kept.length
            ? []
            : graphs.filter((one) => fitNetwork(one, graph.nodes, kept) !== undefined),
        );
        const fewest = fits.find((one) => one.length > 0) ?? [];
        const named = fewest.map(({ joins }) =>
          keyOf(joins.map(([a, b]) => ({ a: a === graph.nodes ? -1 : a, b: b === graph.nodes ? -1 : b }))),
        );
        expect(group.networks.map(({ windings }) => keyOf(windings)).sort()).toEqual(named.sort());
      }),
      { numRuns: Math.ceil(RUNS.numRuns / 4) },
    );
  });

  it("names the pair that was misread, and says of three leads that it cannot know", () => {
    let named = 0;
    const count = 30;
    for (let index = 0; index < count; index += 1) {
      const random = seededRandom(900 + index);
      const { graph, shown } = randomNetwork(random, 4 + (index % 2), true);
      const at = Math.floor(random.next() * shown.length);
      const wrong = shown.map((one, place) => {
        if (place !== at) return one;
        const ohms = one.ohms + Math.max(0.2 * one.ohms, 6 * one.error);
        return { ...one, ohms, error: errorOf(ohms) };
      });
      const [group] = mapLeads(graph.nodes, wrong).groups;
      const [first] = group?.misfits ?? [];
      if (first?.a === shown[at]?.a && first?.b === shown[at]?.b) named += 1;
    }
    expect(named / count).toBeGreaterThanOrEqual(0.9);
  });

  it("proposes a reading that was not taken where one parts what still fits", () => {
    const shown: PairShown[] = [
      { a: 0, b: 1, kind: "value", ohms: 10, error: errorOf(10) },
      { a: 1, b: 2, kind: "value", ohms: 20, error: errorOf(20) },
    ];
    const next = nextPair(mapLeads(3, shown), shown, { errorAt: errorOf });
    expect(next).toMatchObject({ a: 0, b: 2, why: "decides" });
    expect([...(next?.values ?? [])].sort((one, other) => one - other).map(Math.round)).toEqual([10, 30]);
  });
});

describe("what the sheet says of rarer tables", () => {
  it("asks whether two parts hang together, for a finer range, for the probes first", () => {
    expect(
      said(
        ["1", "2", "3", "4"],
        [
          ["1", "2", "12"],
          ["3", "4", "30"],
        ],
      ),
    ).toContain("map/next-apart");
    expect(said(["1", "2", "3"], [["1", "2", "OL"]])).toContain("map/probes-first");
    const near = { percent: 3, counts: 5, resolution: "0.1" };
    expect(
      said(
        ["1", "2", "3", "4"],
        [
          ["1", "2", "60.0"],
          ["2", "3", "3.0"],
          ["1", "3", "61.5"],
          ["3", "4", "60.0"],
          ["2", "4", "61"],
          ["1", "4", "121"],
        ],
        { meter: near },
      ),
    ).toContain("map/next-finer");
  });

  it("says which of several may be misread, and when nothing of few windings fits", () => {
    const which = said(
      ["1", "2", "3", "4"],
      [
        ["1", "2", "10"],
        ["2", "3", "20"],
        ["3", "4", "30"],
        ["1", "3", "22"],
        ["2", "4", "50"],
      ],
    );
    expect(which).toContain("map/misread-which");
    const odd: [string, string, string][] = [
      ["1", "2", "20"],
      ["1", "3", "21"],
      ["1", "4", "35"],
      ["1", "5", "22"],
      ["2", "3", "33"],
      ["2", "4", "24"],
      ["2", "5", "37"],
      ["3", "4", "40"],
      ["3", "5", "25"],
      ["4", "5", "39"],
    ];
    expect(said(["1", "2", "3", "4", "5"], odd)).toContain("map/nothing-fits");
  });

  it("calls no reading wrong where one winding more explains them all", () => {
    // 2 hangs on 1; between 1, 3 and 4 lie three windings in truth.
    const ring: [string, string, string][] = [
      ["1", "2", "51.4"],
      ["1", "3", "5.6"],
      ["1", "4", "22.1"],
      ["2", "3", "56.6"],
      ["2", "4", "73.3"],
      ["3", "4", "21.2"],
    ];
    const codes = said(["1", "2", "3", "4"], ring);
    expect(codes).toContain("map/misread-or-more");
    expect(codes).not.toContain("map/misread");
  });

  it("maps no more than six that hang together", () => {
    const leads = ["1", "2", "3", "4", "5", "6", "7"];
    const row = leads
      .slice(1)
      .map((lead, index): [string, string, string] => [leads[index] ?? "", lead, "10"]);
    expect(said(leads, row)).toContain("map/too-many");
  });

  it("refuses a table that is none, and names the value", () => {
    const message = (...given: Parameters<typeof run>): string => {
      const found = run(...given);
      return found?.ok === false ? found.issues.map((one) => one.message).join(" ") : "";
    };
    expect(
      message(
        ["red", "blue"],
        [
          ["red", "blue", "12"],
          ["blue", "red", "13"],
        ],
      ),
    ).toMatch(/given twice, "12" and "13"/);
    expect(message(["red", "red"], [["red", "red", "12"]])).toMatch(/Two leads are called "red"/);
    expect(message(["red", "blue"], [["red", "green", "12"]])).toMatch(/no lead "green"/);
    expect(
      message(
        Array.from({ length: 13 }, (_, lead) => String(lead)),
        [["1", "2", "12"]],
      ),
    ).toMatch(/12 leads at most/);
    expect(
      message(["red", "blue"], [["red", "blue", "12"]], {
        meter: { percent: 0, counts: 0, resolution: "0.1" },
      }),
    ).toMatch(/0 % and 0 counts/);
    expect(message(["red", "blue"], [["red", "blue", "12"]], { leads: "20" })).toMatch(
      /less than the test leads/,
    );
  });
});

describe("a pair of leads as it is typed", () => {
  it("reads what it writes", () => {
    const name = fc.constantFrom("red", "blue", "T1", "T8", "green/yellow", "1", "2", "grün", "Žlutá");
    fc.assert(
      fc.property(
        name,
        name,
        fc.option(fc.constantFrom("12.4", "OL", "4R7", "1.2k"), { nil: undefined }),
        (a, b, ohms) => {
          fc.pre(a !== b);
          const first = parseLeadPair(`${a}-${b}${ohms === undefined ? "" : ` ${ohms}`}`);
          if (!first.ok) throw new Error(first.issues[0]?.message);
          expect(parseLeadPair(leadPairText(first.value))).toEqual(first);
        },
      ),
      RUNS,
    );
  });
});
