import { expect, type Page } from "@playwright/test";
import { press } from "./keys";

/** By keyboard: this move in the card, whether it is the one advised, one of the next best, or further down. */
export async function chooseMove(page: Page, title: string): Promise<void> {
  const move = page.getByTestId("next-move");
  await expect(page.getByTestId("moves")).toHaveAttribute("aria-busy", "false");
  if (!(await move.textContent())?.includes(title)) {
    const others = page.getByRole("list", { name: "Other moves" });
    if ((await others.getByText(title).count()) === 0) await press(page, /^Show \d+ more moves/);
    await press(page, new RegExp(`^${title}`));
  }
  await expect(move).toContainText(title);
}
