import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Isolation } from "@/core/isolation/isolate";
import { POST as isolate } from "@/pages/api/isolate";
import { GET as knowledge } from "@/pages/api/knowledge";
import { call, openShop } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const MACHINE = {
  family: "capacitor-start",
  stations: [{ id: "drive", present: true }],
  nameplate: { voltage: "230 V" },
  value: { minor: 24_000, currency: "EUR" },
};
const BENCH = { plug: "unplugged", drained: true, deadChecksPassed: true, opened: ["terminal-cover"] };
const ask = (evidence: unknown, change: object = {}) =>
  call<Isolation>(isolate, { body: { machine: MACHINE, bench: BENCH, evidence, ...change } });

describe("POST /api/isolate", () => {
  it("answers with suspects and stations that add up, and the unplugged measurement before any live move", async () => {
    const { status, body } = await ask([
      { seq: 4, epoch: 0, circumstance: "cold", moveId: "switch-on", outcomeId: "hums-still" },
      { seq: 5, moveId: "push-start", outcomeId: "runs" },
      { seq: 6, moveId: "turn-shaft", outcomeId: "free" },
    ]);
    expect(status).toBe(200);
    expect(body.stations.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    const order = body.moves.map(({ moveId, tier }) => (tier === 1 ? moveId : "live"));
    expect(order).toContain("start-capacitance");
    expect(order.slice(0, order.indexOf("start-capacitance"))).not.toContain("live");
    expect(body.suspects[0]?.for.map(({ seq }) => seq)).toContain(4);
  });

  it("says of every move what it waits for; a gap it does not know is refused, since it would hold nothing back", async () => {
    const bench = {
      ...BENCH,
      unsettled: ["blades", "charge"],
      withheld: { guardsOn: ["cover-open"], measured: ["cover-open", "outlet"] },
    };
    const { body } = await ask([], { bench });
    const blocks = new Map(body.moves.map(({ moveId, blockedBy }) => [moveId, blockedBy]));
    expect(blocks.get("turn-shaft")).toEqual(["blades"]);
    expect(blocks.get("start-capacitance")).toEqual(["charge"]);
    const odd = await ask([], { bench: { ...BENCH, unsettled: ["plugg"] } });
    expect(odd.status).toBe(422);
    expect(odd.problem.issues[0]).toMatchObject({ path: "bench.unsettled.0", given: "plugg" });
  });

  it("leaves a station out that the machine does not have", async () => {
    const { body } = await ask([], { machine: { ...MACHINE, stations: [{ id: "drive", present: false }] } });
    expect(body.suspects.map(({ roots }) => roots[0])).not.toContain("belt-off");
  });

  it.each<[string, unknown, object, number, string, RegExp]>([
    [
      "an answer the move does not have",
      [{ seq: 1, moveId: "turn-shaft", outcomeId: "wobbly" }],
      {},
      422,
      "evidence.0.outcomeId",
      /free, stiff, locked, not-sure or could-not/,
    ],
    [
      "a move that does not exist",
      [{ seq: 1, moveId: "prayer", outcomeId: "heard" }],
      {},
      422,
      "evidence.0.moveId",
      /no move "prayer"/,
    ],
    [
      "a family that is not covered",
      [],
      { machine: { family: "steam" } },
      422,
      "machine.family",
      /capacitor-start, capacitor-start-run/,
    ],
    ["no evidence list", undefined, {}, 422, "evidence", /missing/],
    ["a field nobody knows", [], { mood: "good" }, 422, "", /not known here: mood/],
  ])("%s", async (_, evidence, change, status, path, words) => {
    const answer = await ask(evidence, change);
    expect({ status: answer.status, path: answer.problem.issues[0]?.path }).toEqual({ status, path });
    expect(answer.problem.issues[0]?.message).toMatch(words);
  });
});

describe("GET /api/knowledge", () => {
  it("is sent once for each version", async () => {
    const { status, body } = await call<{ version: string; faults: unknown[]; moves: unknown[] }>(knowledge);
    expect(status).toBe(200);
    expect(body.faults.length).toBeGreaterThanOrEqual(12);
    expect(body.moves.length).toBeGreaterThanOrEqual(14);
    const again = (await knowledge({
      request: new Request("http://x/", { headers: { "if-none-match": `"${body.version}"` } }),
    } as never)) as Response;
    expect(again.status).toBe(304);
  });
});
