import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import type { Asked } from "@/core/matching/asked.input";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { orderLineOf, toOrderTogether } from "@/core/matching/to-order";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { POST as takeIn } from "@/pages/api/jobs/index";
import { POST as match } from "@/pages/api/match";
import { call, draft, openShop, takeInBody } from "./shop";
import { CARDER } from "./shop-machine";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

async function newJob(): Promise<string> {
  const made = await call<{ jobId: number }>(takeIn, { body: takeInBody() });
  return String(made.body.jobId);
}
const post = (id: string, body: unknown) => call<JobView>(postEntry, { params: { id }, body });

const typed = (values: Readonly<Record<string, string>>): Asked["typed"] =>
  Object.entries(values).map(([attribute, of]) => ({ attribute, of }));
const ask = (family: string, change: Partial<Asked> = {}, jobId: number | null = null) =>
  call<MatchAnswer>(match, {
    body: { jobId, asked: { family, marking: "", typed: [], settled: [], schools: [], ...change } },
  });

describe("what fits", () => {
  it("is told from the stamp, which the caliper contradicts until somebody says which is right", async () => {
    const worn = { marking: "6202-2RS", typed: typed({ bore: "14.6 mm" }) };
    const stopped = (await ask("ball-bearing", worn)).body;
    expect(stopped.conflicts).toMatchObject([{ attribute: "bore", proposed: "measured" }]);
    expect(stopped.needed.find(({ id }) => id === "bore")?.value).toBeNull();
    const settled = [{ attribute: "bore", of: "marked" as const }];
    const { body } = await ask("ball-bearing", { ...worn, settled });
    expect(body.conflicts).toEqual([]);
    expect(body.candidates[0]).toMatchObject({ fit: "fit", label: expect.stringContaining("6202 2RS") });
    expect(body.candidates[0]?.goesWith.map(({ label }) => label)).toContain("Wave washer");
  });

  it("finds none for sizes that no standard bearing has, and says by what each near one fails", async () => {
    const sizes = { bore: "13", outside: "31", width: "9", seals: "sealed", clearance: "CN" };
    const { body } = await ask("ball-bearing", { typed: typed(sizes) });
    expect(body.found).toBe(0);
    expect(body.rejected[0]?.count).toBeGreaterThan(0);
  });

  it("takes poles and shaft watts from the plate, and no peak for what the shaft gives", async () => {
    const id = await newJob();
    const plate = {
      plate: "motor",
      volts: "230",
      hertz: "50",
      amps: "",
      speed: "1425",
      duty: "",
      enclosure: "",
    };
    const more = { typeCode: "", text: "", power: "370 W" };
    const value = async (attribute: string) =>
      (await ask("motor", {}, Number(id))).body.needed.find((one) => one.id === attribute)?.value;
    await post(id, draft(2, "nameplate", { ...plate, ...more, powerIs: "peak" }));
    expect([await value("poles"), await value("watts")]).toEqual(["4", null]);
    await post(id, draft(3, "nameplate", { ...plate, ...more, powerIs: "output" }));
    expect(await value("watts")).toBe("370 W");
  });

  it("offers two side by side where no single one has the value, and takes both for one job", async () => {
    const said = { typed: typed({ kind: "run", capacitance: "13 μF", volts: "400 V" }) };
    const { body } = await ask("run-capacitor", said);
    expect(body.candidates[0]?.fit).toBe("note");
    const [two] = body.together;
    expect(two).toMatchObject({ fit: "note", total: "13 μF" });
    // Tabs for both, on the same order.
    const lines = two ? toOrderTogether(two, body.fitted).map(orderLineOf) : [];
    expect(lines).toHaveLength(3);
    expect(lines).toContain("4 × Insulated tabs for its leads");
    const asked = { family: "run-capacitor", marking: "", settled: [], schools: [], ...said };
    const id = await newJob();
    const kept = await post(id, draft(2, "part-chosen", { forPart: "run", partId: two?.id, asked }));
    expect(kept.body.parts[0]).toMatchObject({
      fit: "note",
      label: two?.parts.map(({ label }) => label).join(" with "),
      priceMinor: two?.priceMinor,
      notes: [two?.said],
    });
    const halves = two?.id.split("+") ?? [];
    const other = `${halves[0]}+${halves[0]}`;
    const made = await post(id, draft(3, "part-chosen", { forPart: "run", partId: other, asked }));
    expect(made.problem.issues[0]?.code).toBe("unknown/part");
  });

  it("asks first for what rules out most for a minute", async () => {
    const { body } = await ask("ball-bearing", { typed: typed({ bore: "15" }) });
    const worth = body.asks.map(({ removes, minutes }) => removes / minutes);
    expect(worth).toEqual([...worth].sort((one, other) => other - one));
    expect(body.candidates.every(({ fit }) => fit === "open")).toBe(true);
  });

  it("never takes a maker's number for sizes that say otherwise, and tells what replaces it", async () => {
    const unit = { what: "gear-motor", volts: "230", hertz: "50" };
    const old = await ask("assembly", { typed: typed({ ...unit, number: "21-12AE" }) });
    expect(old.body.candidates[0]).toMatchObject({ fit: "note", label: expect.stringContaining("21-12BE") });
    const elsewhere = await ask("assembly", { typed: typed({ ...unit, volts: "120", number: "21-12AE" }) });
    expect(elsewhere.body.found).toBe(0);
    expect(elsewhere.body.nearMisses[0]?.said).toContain("230 V, where 120 V is needed");
  });

  it("takes what the job knows: the mark, and no fewer volts than its supply asks for", async () => {
    const id = await newJob();
    await post(id, draft(2, "nameplate", { plate: "capacitor", id: "run", mark: "8 μF ±5 % 250 VAC" }));
    const { body } = await ask("run-capacitor", {}, Number(id));
    expect(body.needed.find((one) => one.id === "capacitance")).toMatchObject({
      value: "8 μF",
      from: "marked",
    });
    expect(body.needed.find((one) => one.id === "volts")).toMatchObject({
      value: "345 V",
      from: "worked-out",
    });
    expect(body.candidates[0]?.fit).toBe("fit");
  });

  it.each<[string, string, Partial<Asked>, string, RegExp]>([
    [
      "a size in the wrong unit",
      "ball-bearing",
      { typed: typed({ bore: "0.59" }) },
      "typed.bore",
      /0\.59 in is 14\.986 mm.*with its unit/,
    ],
    ["a rating of nought", "fuse", { typed: typed({ amps: "0" }) }, "typed.amps", /above 0/],
    [
      "a word that is none of the list",
      "fuse",
      { typed: typed({ speed: "lazy" }) },
      "typed.speed",
      /very fast; fast/,
    ],
    [
      "a stamp of nonsense",
      "ball-bearing",
      { marking: "xx-77" },
      "marking",
      /says nothing of a ball bearing/,
    ],
    [
      "a name that every table has",
      "brush",
      { typed: typed({ constructor: "6" }) },
      "typed.constructor",
      /has no "constructor"/,
    ],
    ["an attribute it has not", "fuse", { typed: typed({ bore: "8" }) }, "typed.bore", /has no "bore"/],
    ["a family that is none", "sprocket", {}, "family", /There are: fuse,/],
  ])("%s is refused by name, with what would be taken", async (_, family, change, path, words) => {
    const { status, problem } = await ask(family, change);
    expect(status).toBe(422);
    expect(problem.issues[0]?.path.endsWith(path)).toBe(true);
    expect(problem.issues[0]?.message).toMatch(words);
  });
});

describe("a part that is chosen", () => {
  it("a part that does not fit cannot be chosen, whatever the screen said; one that fits is kept with the server's own words", async () => {
    const id = await newJob();
    const part = (name: string, asked: object | null = null) => ({
      forPart: "start",
      partId: `start-capacitor:${name}`,
      asked,
    });
    const unread = await post(id, draft(2, "part-chosen", part("start-capacitor-145-174-uf-250-v")));
    expect(unread.problem.issues[0]?.code).toBe("match/open");
    await post(id, draft(2, "nameplate", { plate: "capacitor", id: "start", mark: "145-174 μF 250 VAC" }));
    const low = await post(id, draft(3, "part-chosen", part("start-capacitor-145-174-uf-125-v")));
    expect(low.status).toBe(422);
    expect(low.problem.issues[0]?.message).toMatch(/does not fit\. .*125 V is under the 250 V needed/);
    const polarised = await post(id, draft(3, "part-chosen", part("dc-capacitor-150-uf-450-v-polarised")));
    expect(polarised.problem.issues[0]?.code).toBe("match/does-not-fit");
    const step = "start-capacitor-161-193-uf-250-v";
    const stamp = { family: "start-capacitor", typed: [], settled: [], schools: [] };
    const otherwise = await post(
      id,
      draft(3, "part-chosen", part(step, { ...stamp, marking: "161-193 μF 250 VAC" })),
    );
    expect(otherwise.problem.issues[0]?.code).toBe("match/conflict");
    const kept = await post(id, draft(3, "part-chosen", part(step)));
    expect(kept.body.parts[0]).toMatchObject({
      label: "Start capacitor 161-193 μF 250 V",
      fit: "note",
      days: 2,
      notes: [expect.stringContaining("switch drops out")],
    });
  });

  it("never one that is rated less than is printed, whatever is typed, in any order, and whichever is taken", async () => {
    const id = await newJob();
    await post(id, draft(2, "nameplate", { plate: "capacitor", id: "run", mark: "8 μF ±5 % 450 VAC" }));
    const asked = (settled: Asked["settled"]) => ({
      family: "run-capacitor",
      marking: "",
      typed: typed({ volts: "400 V" }),
      settled,
      schools: [{ attribute: "capacitor-value", of: "any" }],
    });
    const { body } = await ask("run-capacitor", { typed: typed({ volts: "400 V" }) }, Number(id));
    expect(body.conflicts[0]?.sources.map(({ value, canBeTaken }) => [value, canBeTaken])).toEqual([
      ["450 V", true],
      ["400 V", false],
    ]);
    const partId = "run-capacitor:run-capacitor-8-uf-400-v";
    const choose = (settled: Asked["settled"]) =>
      post(id, draft(3, "part-chosen", { forPart: "run", partId, asked: asked(settled) }));
    for (const from of ["measured", "assumed", "sheet", "plate"] as const)
      expect((await choose([{ attribute: "volts", of: from }])).problem.issues[0]?.code).toBe(
        "match/conflict",
      );
    const lesser = (
      await ask("run-capacitor", { settled: [{ attribute: "volts", of: "marked" }] }, Number(id))
    ).body;
    expect(lesser.candidates.every(({ label }) => !label.includes("400 V"))).toBe(true);
  });

  it("with what the owner has to know of it kept apart, for the letter", async () => {
    const id = await newJob();
    const said = { amps: "8 A", reset: "self", volts: "250 V", senses: "current" };
    const asked = { family: "overload", marking: "", typed: typed(said), settled: [], schools: [] };
    const partId = "overload:overload-8-a-250-v-reset-by-hand";
    const { body } = await post(id, draft(2, "part-chosen", { forPart: "overload", partId, asked }));
    expect(body.parts[0]?.ownerNotes).toEqual([expect.stringContaining("until somebody presses it")]);
  });

  it("is weighed again where the class that it depends on is another", async () => {
    const id = await newJob();
    const said = { section: "1.5 mm²", sheath: "rubber", length: "2 m" };
    const asked = { family: "cord", marking: "", typed: typed(said), settled: [], schools: [] };
    const { body } = await ask("cord", { typed: typed(said) }, Number(id));
    const partId = body.candidates.find(({ fit }) => fit === "note" || fit === "fit")?.id;
    const kept = await post(id, draft(2, "part-chosen", { forPart: "cord", partId, asked }));
    expect(kept.problem?.issues ?? []).toEqual([]);
    const other = await post(id, draft(3, "taken-in", { ...CARDER, protectionClass: "class-2", ownerId: 1 }));
    expect(other.body.live.dangers.filter(({ kind }) => kind === "asked-anew")).toMatchObject([
      { place: "cord", closedBy: null },
    ]);
  });
});
