import { expect, type Page } from "@playwright/test";

const MOST_TABS = 150;

/** What has the keyboard now, as a reader would name it. */
function focused(page: Page): Promise<string> {
  return page.evaluate(() => {
    const element = document.activeElement as HTMLInputElement | null;
    if (!element) return "";
    const labels = [...(element.labels ?? [])].map((label) => label.textContent?.trim() ?? "");
    return [element.getAttribute("aria-label"), ...labels, element.textContent?.trim()]
      .filter((name) => name)
      .join(" | ");
  });
}

/** Presses Tab until the control with this name has the keyboard. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  const wanted =
    typeof name === "string"
      ? new RegExp(`(^|\\| )${name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}( \\||$)`)
      : name;
  for (let tabs = 0; tabs < MOST_TABS; tabs += 1) {
    if (wanted.test(await focused(page))) return;
    await page.keyboard.press("Tab");
  }
  expect(await focused(page), `reached by Tab: ${String(name)}`).toMatch(wanted);
}

export async function typeInto(page: Page, name: string | RegExp, text: string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press("Control+a");
  await page.keyboard.type(text);
}

export async function press(page: Page, name: string | RegExp, key = "Enter"): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press(key);
}
