import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findingSchema } from "@/core/tools/finding.input";
import { toJsonSchema } from "@/core/tools/json-schema";
import { TOOLS } from "@/core/tools/registry";
import { parseWith } from "@/core/validate";
import { KNOWN_CODES } from "@/islands/words/said";
import { GROUND, KNOWLEDGE } from "../shop-ground";

const OWN_SOURCES = ["mark", "nameplate", "twin", "earlier", "shop"];

describe.each(TOOLS.map((tool) => [tool.id, tool] as const))(
  "the tool %s keeps the contract",
  (id, { load, topic, title }) => {
    it("answers its worked example with a Finding that survives JSON, the same every time", async () => {
      const tool = await load();
      const first = tool.run(tool.example, GROUND);
      expect(first.ok).toBe(true);
      if (!first.ok) return;
      expect(JSON.parse(JSON.stringify(first.value))).toEqual(first.value);
      expect(tool.run(tool.example, GROUND)).toEqual(first);
      expect(parseWith(findingSchema, first.value).ok).toBe(true);
      expect(tool).toMatchObject({ id, title });
    });

    it("answers empty and foreign input with issues, never with an exception", async () => {
      const tool = await load();
      for (const raw of [{}, null, undefined, [], "x", 7, { unknown: 1 }]) {
        const answer = tool.run(raw, GROUND);
        expect(answer.ok).toBe(false);
        if (!answer.ok)
          expect(answer.issues.every(({ code, message }) => code.includes("/") && message.length > 8)).toBe(
            true,
          );
      }
    });

    it("gives every figure a unit, every limit a source that exists, every piece of evidence a move and outcome that exist", async () => {
      const tool = await load();
      const { cases } = JSON.parse(readFileSync(`tests/worked/${id}.json`, "utf8")) as {
        cases: { input: unknown }[];
      };
      const sources = new Set([...OWN_SOURCES, ...KNOWLEDGE.sources.map((source) => source.id)]);
      for (const { input } of cases) {
        const answer = tool.run(input, GROUND);
        if (!answer.ok) throw new Error(answer.issues[0]?.message);
        const { figures, evidence, sources: used, reasons, cautions, basis } = answer.value;
        for (const figure of figures) {
          expect(figure.unit).not.toBe("");
          if (figure.limit !== undefined) expect(sources).toContain(figure.limitSource);
        }
        for (const { moveId, outcomeId } of evidence)
          expect(KNOWLEDGE.moves.find((move) => move.id === moveId)?.outcomes).toContain(outcomeId);
        for (const source of used) expect(sources).toContain(source);
        for (const { code } of reasons) expect(KNOWN_CODES.reasons).toContain(code);
        for (const { code } of cautions) expect(KNOWN_CODES.cautions).toContain(code);
        expect(basis).toEqual({ toolId: id, toolVersion: tool.version, knowledgeVersion: KNOWLEDGE.version });
      }
    });

    it("has words for every code that its source can say", () => {
      const source = readFileSync(`src/core/tools/${topic}/${id}.ts`, "utf8");
      const codes = [...source.matchAll(new RegExp(`"(${topic}/[a-z-]+)"`, "g"))]
        .map(([, code]) => code)
        .filter((code) => code !== `${topic}/${id}`);
      expect(codes.length).toBeGreaterThan(3);
      for (const code of codes) expect([...KNOWN_CODES.reasons, ...KNOWN_CODES.cautions]).toContain(code);
    });

    it("has an input schema that JSON Schema can say", async () => {
      const tool = await load();
      expect(toJsonSchema(tool.input)).toMatchObject({ type: "object", additionalProperties: false });
    });
  },
);
