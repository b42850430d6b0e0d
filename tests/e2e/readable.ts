import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { expect, type Page } from "@playwright/test";

const AXE = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What a page is read for: the levels that we hold ourselves to, or one rule. */
type Asked = { readonly type: "tag" | "rule"; readonly values: readonly string[] };

export const EVERYTHING: Asked = { type: "tag", values: ["wcag2a", "wcag2aa", "wcag21aa"] };
export const COLOURS: Asked = { type: "rule", values: ["color-contrast"] };

interface Reader {
  run(options: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
}

/** No page of ours has frames: axe is put into it once and asked there, which takes half of what its own driver needs. */
export async function expectReadable(page: Page, asked: Asked, view: string): Promise<void> {
  if (!(await page.evaluate(() => "axe" in globalThis))) await page.evaluate(AXE);
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = globalThis as unknown as { axe: Reader };
    // What holds is not described: for a long table that took longer than looking at it.
    const { violations } = await axe.run({ runOnly, resultTypes: ["violations"], selectors: false });
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
  }, asked);
  expect(found, view).toEqual([]);
}
