import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

export function axe(page: Page): AxeBuilder {
  // No page of ours has frames: without them axe needs no second page to put its parts together.
  // What holds is not described: for a long table that took longer than looking at it.
  return new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"], selectors: false });
}

export async function expectReadable(asked: AxeBuilder, view: string): Promise<void> {
  const { violations } = await asked.analyze();
  expect(violations.map(({ id, nodes }) => `${view} ${id}: ${nodes[0]?.html}`)).toEqual([]);
}

/** What no address leads to: a state of a page on the way through a job. */
export async function expectStateReadable(page: Page, state: string): Promise<void> {
  await expectReadable(axe(page).withTags(["wcag2a", "wcag2aa", "wcag21aa"]), state);
}
