import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { TOOL_CONTEXT, TOOLS } from "../core/shop-context";

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

describe.each(TOOLS.map((tool) => [tool.title, tool] as const))("worked cases: %s", (_, tool) => {
  const { cases } = JSON.parse(readFileSync(`src/tools/${tool.topic}/${tool.id}/worked.json`, "utf8")) as {
    cases: WorkedCase[];
  };

  it.each(cases.map((one) => [one.name, one] as const))("%s", (__, { input, answer, tolerance, steps }) => {
    const finding = tool.run(input, TOOL_CONTEXT);
    if (!finding.ok) throw new Error(finding.issues.map(({ message }) => message).join(" "));
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
        expect(Math.abs((got ?? 0) / value - 1), `${id}.${key}: ${got} for ${value}`).toBeLessThan(tolerance);
      }
    }
  });
});
