import { existsSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { movesFor } from "@/core/isolation/machine-model";
import { stationsOf } from "@/core/knowledge/machine-kind";
import { findingSchema } from "@/core/tools/finding.input";
import { parseWith } from "@/core/validate";
import { measurablesOf } from "@/islands/measure/measurables";
import { loadPictures } from "@/islands/tools/pictures";
import { toJsonSchema } from "@/server/http/json-schema";
import { loadWords, TOOL_IDS } from "@/tools/registry";
import { CARDER, logOf, viewOf } from "../core/job/entries";
import { KNOWLEDGE, TOOL_CARDS, TOOL_CONTEXT, TOOLS } from "../core/shop-context";

const OWN_SOURCES = ["mark", "nameplate", "twin", "earlier", "shop"];
const SOURCES = new Set([...OWN_SOURCES, ...KNOWLEDGE.sources.map((source) => source.id)]);
const LIMIT_IDS = KNOWLEDGE.limits.map(({ id }) => id);
const SHOP = { ...KNOWLEDGE, tools: TOOL_CARDS };

interface Worked {
  readonly cases: readonly { readonly input: unknown }[];
}

describe("the registry", () => {
  it("lists each tool under its own id, once", () => {
    expect(TOOLS.map(({ id }) => id)).toEqual(TOOL_IDS);
  });

  it("has no two tools that judge one move, and no move of a tool that does not exist", () => {
    const judged = TOOLS.flatMap(({ judges }) => judges);
    expect(new Set(judged).size).toBe(judged.length);
    for (const id of judged) expect(KNOWLEDGE.moves.map((move) => move.id)).toContain(id);
  });
});

describe.each(TOOLS.map((tool) => [tool.id, tool] as const))("the tool %s keeps the contract", (id, tool) => {
  const room = `src/tools/${tool.topic}/${id}`;
  const { cases } = JSON.parse(readFileSync(`${room}/worked.json`, "utf8")) as Worked;
  const findings = cases.map(({ input }) => {
    const answer = tool.run(input, TOOL_CONTEXT);
    if (!answer.ok) throw new Error(answer.issues[0]?.message);
    return answer.value;
  });

  it("answers its worked example with a Finding that survives JSON, the same every time", () => {
    const first = tool.run(tool.example, TOOL_CONTEXT);
    if (!first.ok) throw new Error(first.issues[0]?.message);
    expect(JSON.parse(JSON.stringify(first.value))).toEqual(first.value);
    expect(tool.run(tool.example, TOOL_CONTEXT)).toEqual(first);
    expect(parseWith(findingSchema, first.value).ok).toBe(true);
  });

  it("answers empty and foreign input with issues, never with an exception", () => {
    for (const raw of [{}, null, undefined, [], "x", 7, { unknown: 1 }]) {
      const answer = tool.run(raw, TOOL_CONTEXT);
      expect(answer.ok).toBe(false);
      if (!answer.ok)
        for (const { code, message } of answer.issues) {
          expect(code).toContain("/");
          expect(message.length).toBeGreaterThan(8);
        }
    }
  });

  it("gives every figure a unit, every limit a source that exists, every evidence a move, answer and circumstance", () => {
    for (const { figures, evidence, sources, basis } of findings) {
      for (const figure of figures) {
        expect(figure.unit).not.toBe("");
        if (figure.limit !== undefined) expect(SOURCES).toContain(figure.limitSource);
        if (figure.limitId !== undefined) expect(tool.limits).toContain(figure.limitId);
      }
      for (const { moveId, outcomeId } of evidence) {
        expect([...tool.judges, ...(tool.tellsOf ?? [])]).toContain(moveId);
        expect(KNOWLEDGE.moves.find((move) => move.id === moveId)?.outcomes).toContain(outcomeId);
      }
      for (const source of sources) expect(SOURCES).toContain(source);
      expect(basis).toEqual({ toolId: id, toolVersion: tool.version, knowledgeVersion: KNOWLEDGE.version });
    }
  });

  it("says only codes that it declares, each with a sentence of its own", async () => {
    const words = await loadWords(id);
    expect(Object.keys(words ?? {}).sort()).toEqual([...tool.codes].sort());
    for (const { reasons, cautions } of findings)
      for (const { code, params } of [...reasons, ...cautions]) {
        expect(tool.codes).toContain(code);
        const sentence = words?.[code]?.(params) ?? "";
        expect(sentence.length).toBeGreaterThan(8);
        expect(sentence).not.toMatch(/undefined|NaN|null|\[object/);
      }
  });

  it("says every code of its declaration in some worked case or law", () => {
    const said = new Set(
      findings.flatMap(({ reasons, cautions }) => [...reasons, ...cautions].map(({ code }) => code)),
    );
    const laws = readFileSync(`tests/tools/${id}.laws.test.ts`, "utf8");
    for (const code of tool.codes) expect(said.has(code) || laws.includes(`"${code}"`), code).toBe(true);
  });

  it("names limits that exist", () => {
    for (const limit of tool.limits) expect(LIMIT_IDS).toContain(limit);
  });

  it("has an input schema that JSON Schema can say", () => {
    expect(toJsonSchema(tool.input)).toMatchObject({ type: "object", additionalProperties: false });
  });

  it("is listed under Measure, and on Isolate for each move it judges, by its declaration alone", () => {
    const families = KNOWLEDGE.families.filter(({ stations }) =>
      tool.stations.some((station) => stations.includes(station)),
    );
    expect(families.length).toBeGreaterThan(0);
    for (const { id: family } of families) {
      const view = viewOf(logOf(["taken-in", { ...CARDER, machine: "Something", family }]));
      const listed = measurablesOf(view, SHOP).filter(({ toolId }) => toolId === id);
      expect(listed.length, family).toBeGreaterThan(0);
      const moves = movesFor(KNOWLEDGE.moves, family, stationsOf({ family }, KNOWLEDGE));
      for (const move of moves.filter((one) => tool.judges.includes(one.id)))
        expect(listed.map(({ key }) => key)).toContain(move.id);
    }
  });

  it("has its picture found where it has one", async () => {
    const pictures = await loadPictures(tool.topic, id);
    expect(Object.keys(pictures).length > 0).toBe(existsSync(`${room}/picture.tsx`));
  });
});

describe("Measure", () => {
  it("never offers a capacitor on a machine without one", () => {
    const view = viewOf(logOf(["taken-in", { ...CARDER, machine: "Hedge trimmer", family: "universal" }]));
    expect(measurablesOf(view, SHOP).flatMap(({ move }) => move?.part ?? [])).toEqual([]);
  });

  it("offers what a motor of unknown kind may have", () => {
    const view = viewOf(logOf(["taken-in", { ...CARDER, machine: "Something", family: "not-known" }]));
    const places = measurablesOf(view, SHOP).flatMap(({ move }) => move?.part?.place ?? []);
    expect(places).toEqual(["start", "run"]);
  });
});
