import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import type { Finding } from "@/core/tools/finding.input";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { POST as takeIn } from "@/pages/api/jobs/index";
import { POST as keepReading } from "@/pages/api/readings";
import { POST as runTool } from "@/pages/api/tools/[tool]";
import { GET as listTools } from "@/pages/api/tools/index";
import { TOOL_IDS } from "@/tools/registry";
import { call, draft, openShop, takeInBody } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const INPUT = {
  mark: "145-174 µF 250 VAC",
  reading: "61.8u",
  meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
  bleedResistor: "lifted",
  temperature: "14 °C",
};
const run = (body: unknown, tool = "capacitor-against-mark") =>
  call<{ finding: Finding }>(runTool, { params: { tool }, body });

describe("POST /api/tools/{tool}", () => {
  it("answers the example of the contract", async () => {
    const { status, body } = await run({ input: INPUT, limits: { "capacitor-open-share": 0.05 } });
    expect(status).toBe(200);
    expect(body.finding).toMatchObject({
      verdict: "faulty",
      reasons: [{ code: "capacitor/below-mark", params: { shareOfMinimum: expect.closeTo(0.426, 3) } }],
      cautions: [{ code: "capacitor/effect-start", params: { startTorque: expect.closeTo(0.387, 2) } }],
      evidence: [
        {
          moveId: "start-capacitance",
          outcomeId: "below",
          likelihood: {
            quantity: "capacitance",
            value: 6.18e-5,
            halfWidth: expect.closeTo(1.427e-6, 9),
            mark: 1.45e-4,
          },
        },
      ],
      basis: { toolId: "capacitor-against-mark", toolVersion: 4 },
    });
    expect(body.finding.figures[0]).toMatchObject({ unit: "F", limit: 1.45e-4, limitSource: "mark" });
  });

  it("takes a Reading object as well as text", async () => {
    const reading = { kind: "value", value: 6.18e-5, unit: "F", entered: "61.8u" };
    const [text, object] = [await run({ input: INPUT }), await run({ input: { ...INPUT, reading } })];
    expect(object.body.finding).toEqual(text.body.finding);
  });

  it.each<[string, unknown, number, string, RegExp]>([
    [
      "12..4",
      { input: { ...INPUT, reading: "12..4u" } },
      422,
      "input.reading",
      /"12\.\.4u" is not a number: write one decimal point, such as 12\.4u\./,
    ],
    ["4 7", { input: { ...INPUT, reading: "4 7" } }, 422, "input.reading", /digits together/],
    ["0x10", { input: { ...INPUT, reading: "0x10" } }, 422, "input.reading", /ordinary digits/],
    ["1e999", { input: { ...INPUT, reading: "1e999" } }, 422, "input.reading", /larger than any meter/],
    ["-3 µF", { input: { ...INPUT, reading: "-3 µF" } }, 422, "input.reading", /below zero/],
    ["±600 %", { input: { ...INPUT, mark: "30 uF ±600%" } }, 422, "input.mark", /±600%.*not possible/],
    [
      "a Reading in another unit",
      { input: { ...INPUT, reading: { kind: "value", value: 1, unit: "Ω", entered: "1" } } },
      422,
      "input.reading",
      /not a reading/,
    ],
    [
      "a Reading that is not finite",
      { input: { ...INPUT, reading: { kind: "value", value: null, unit: "F", entered: "1" } } },
      422,
      "input.reading",
      /not a reading/,
    ],
    [
      "accuracy below zero",
      { input: { ...INPUT, meter: { ...INPUT.meter, percent: -1 } } },
      422,
      "input.meter.percent",
      /outside what is possible/,
    ],
    ["a field nobody knows", { input: { ...INPUT, colour: "red" } }, 422, "input", /not known here: colour/],
    [
      "a loosened safety limit",
      { input: INPUT, limits: { "safe-to-work-volts": 60 } },
      422,
      "limits.safe-to-work-volts",
      /loosen a safety limit/,
    ],
    [
      "a limit that does not exist",
      { input: INPUT, limits: { joy: 1 } },
      422,
      "limits.joy",
      /no limit "joy"/,
    ],
    ["no input", {}, 422, "input", /missing/],
    ["text for an object", '"hello"', 422, "", /not an object/],
  ])("%s", async (_, body, status, path, words) => {
    const answer = await run(body);
    expect({ status: answer.status, path: answer.problem.issues[0]?.path }).toEqual({ status, path });
    expect(answer.problem.issues[0]?.message).toMatch(words);
  });

  it("names the tools there are when asked for another", async () => {
    const answer = await run({ nonsense: 1 }, "ouija");
    expect(answer.status).toBe(404);
    expect(answer.problem.issues[0]?.message).toContain("capacitor-against-mark");
  });

  it("tells every problem at once", async () => {
    const answer = await run({
      input: { mark: "", reading: "x", meter: { percent: "1" }, bleedResistor: "maybe" },
    });
    expect(answer.problem.issues.length).toBeGreaterThanOrEqual(5);
  });
});

describe("GET /api/tools", () => {
  it("lists each tool with its input schema and an example that it accepts", async () => {
    const { body } = await call<{ tools: { id: string; input: { required: string[] }; example: object }[] }>(
      listTools,
    );
    expect(body.tools.map(({ id }) => id)).toEqual(TOOL_IDS);
    expect([...(body.tools[0]?.input.required ?? [])].sort()).toEqual([
      "bleedResistor",
      "mark",
      "meter",
      "reading",
    ]);
    for (const { id, example } of body.tools) expect((await run({ input: example }, id)).status).toBe(200);
  });
});

describe("a reading without a job", () => {
  it("is kept once, and can be put in a job later", async () => {
    const id = randomUUID();
    const body = { id, toolId: "capacitor-against-mark", input: INPUT, by: "left bench" };
    expect((await call(keepReading, { body })).status).toBe(200);
    expect((await call(keepReading, { body })).status).toBe(200);
    const made = await call<{ jobId: number }>(takeIn, { body: takeInBody() });
    const put = await call<JobView>(postEntry, {
      params: { id: String(made.body.jobId) },
      body: draft(2, "reading", { of: "loose", looseReadingId: id, moveId: "start-capacitance" }),
    });
    expect(put.body.readings[0]).toMatchObject({
      looseReadingId: id,
      taken: "afterwards",
      finding: { verdict: "faulty" },
    });
    const wrong = await call(postEntry, {
      params: { id: String(made.body.jobId) },
      body: draft(3, "reading", { of: "loose", looseReadingId: id, moveId: "push-start" }),
    });
    expect(wrong.problem.issues[0]?.code).toBe("reading/no-such-move");
  });
});
