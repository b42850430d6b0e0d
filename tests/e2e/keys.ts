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

/**
 * How many times Tab goes for sure before the control with this name can have the keyboard: the ones between, with a
 * group of radio buttons counted as none. Asking after each key would take most of a journey's time.
 */
function tabsTo(page: Page, wanted: RegExp): Promise<number> {
  return page.evaluate(
    ({ source, flags }) => {
      const name = new RegExp(source, flags);
      const all = [
        ...document.querySelectorAll<HTMLInputElement>("a[href], button, input, select, textarea"),
      ].filter(
        (element) => !element.disabled && element.tabIndex >= 0 && element.getClientRects().length > 0,
      );
      const nameOf = (element: HTMLInputElement): string =>
        [
          element.getAttribute("aria-label"),
          ...[...(element.labels ?? [])].map((label) => label.textContent?.trim() ?? ""),
          element.textContent?.trim(),
        ]
          .filter((part) => part)
          .join(" | ");
      const from = all.indexOf(document.activeElement as HTMLInputElement);
      const to = all.findIndex((element, index) => index > from && name.test(nameOf(element)));
      return all.slice(from + 1, Math.max(from + 1, to)).filter(({ type }) => type !== "radio").length;
    },
    { source: wanted.source, flags: wanted.flags },
  );
}

/** Presses Tab until the control with this name has the keyboard. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  const wanted =
    typeof name === "string"
      ? new RegExp(`(^|\\| )${name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}( \\||$)`)
      : name;
  if (wanted.test(await focused(page))) return;
  for (let tabs = await tabsTo(page, wanted); tabs > 0; tabs -= 1) await page.keyboard.press("Tab");
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
