import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findTool } from "@/core/tools/registry";
import { GROUND } from "../core/shop-ground";

interface WorkedCase {
  readonly name: string;
  readonly input: unknown;
  readonly steps: readonly string[];
  readonly tolerance: number;
  readonly answer: {
    readonly verdict: string;
    readonly reason: string;
    readonly outcome: string | null;
    readonly figures: Readonly<Record<string, Readonly<Record<string, number>>>>;
  };
}

const files = readdirSync("tests/worked").filter(
  (name) => name.endsWith(".json") && name !== "isolation-stories.json",
);

describe.each(files)("worked cases of %s", (file) => {
  const { tool, cases } = JSON.parse(readFileSync(`tests/worked/${file}`, "utf8")) as {
    tool: string;
    cases: WorkedCase[];
  };

  it.each(cases.map((one) => [one.name, one] as const))(
    "%s",
    async (_, { input, answer, tolerance, steps }) => {
      const loaded = await findTool(tool)?.load();
      const finding = loaded?.run(input, GROUND);
      expect(finding?.ok).toBe(true);
      if (!finding?.ok) return;
      const { verdict, reasons, evidence, figures } = finding.value;
      expect(steps.length).toBeGreaterThan(0);
      expect({ verdict, reason: reasons[0]?.code, outcome: evidence[0]?.outcomeId ?? null }).toEqual({
        verdict: answer.verdict,
        reason: answer.reason,
        outcome: answer.outcome,
      });
      for (const [id, wanted] of Object.entries(answer.figures)) {
        const figure = figures.find((one) => one.id === id);
        for (const [key, value] of Object.entries(wanted)) {
          const got = figure?.[key as "value"];
          expect(got, `${id}.${key}`).toBeDefined();
          expect(Math.abs((got ?? 0) / value - 1), `${id}.${key}: ${got} for ${value}`).toBeLessThan(
            tolerance,
          );
        }
      }
    },
  );
});
