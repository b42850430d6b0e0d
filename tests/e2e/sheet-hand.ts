import { expect, type Locator, type Page } from "@playwright/test";
import type { AnyField } from "@/core/tools/field.input";
import { LEADS_FIELD } from "@/core/tools/leads";

/** A field of a tool's sheet, and what is to stand in it. */
interface Filled {
  readonly tool: string;
  readonly id: string;
  readonly field: AnyField;
  readonly value: unknown;
}

/** Somebody at a tool's sheet, with a keyboard or with fingers. */
export interface Sheet {
  fill(one: Filled): Promise<void>;
  /** The reading that the sheet is about. */
  reading(text: string): Promise<void>;
  /** Ohms of the test leads, where the sheet asks for them. */
  leads(text: string): Promise<void>;
  /** Keeps it, from the reading or, where there is none, by the button. */
  keep(): Promise<void>;
}

/** The few ways to put something into a control; all else is the same for keyboard and fingers. */
interface Ways {
  type(control: Locator, text: string): Promise<void>;
  choose(radio: Locator): Promise<void>;
  pick(select: Locator, label: string): Promise<void>;
  press(button: Locator): Promise<void>;
  keep(): Promise<void>;
}

interface Meter {
  readonly percent: number;
  readonly counts: number;
  readonly resolution: string;
}
interface Table {
  readonly leads: readonly string[];
  readonly pairs: readonly { readonly a: string; readonly b: string; readonly reading: string }[];
}

function at(page: Page, ways: Ways): Sheet {
  const byId = (id: string): Locator => page.getByTestId(id);
  const byLabel = (label: string): Locator => page.getByLabel(label, { exact: true });
  return {
    async fill({ tool, id, field, value }) {
      switch (field.kind) {
        case "choice": {
          const radio = page.locator(`input[name="${tool}-${id}"][value="${String(value)}"]`);
          const label = field.choices.find((one) => one.value === value)?.label ?? "";
          if (await radio.count()) return ways.choose(radio);
          return ways.pick(byLabel(field.label), label);
        }
        case "meter": {
          const { percent, counts, resolution } = value as Meter;
          await ways.pick(byLabel(field.label), "another meter");
          await ways.type(byId(`${id}.percent`), String(percent));
          await ways.type(byId(`${id}.counts`), String(counts));
          return ways.type(byId(`${id}.resolution`), resolution);
        }
        case "series": {
          for (const [index, row] of (value as { at: string; reading: string }[]).entries()) {
            await ways.type(byId(`${id}-at-${index}`), row.at);
            await ways.type(byId(`${id}-reading-${index}`), row.reading);
          }
          return;
        }
        case "sequence": {
          const group = page.getByRole("group", { name: field.label });
          for (const word of value as string[]) {
            const label = field.choices.find((one) => one.value === word)?.label ?? "";
            await ways.press(group.getByRole("button", { name: label, exact: true }));
          }
          return;
        }
        case "pairs": {
          const { leads, pairs } = value as Table;
          await ways.type(byId(`${id}.leads`), leads.join(" "));
          for (const { a, b, reading } of pairs)
            await ways.type(byLabel(`${a} to ${b}`).or(byLabel(`${b} to ${a}`)), reading);
          return;
        }
        default:
          return ways.type(byId(id), String(value));
      }
    },
    reading: (text) => ways.type(byId("reading"), text),
    async leads(text) {
      if (await byId(LEADS_FIELD).count()) await ways.type(byId(LEADS_FIELD), text);
    },
    keep: ways.keep,
  };
}

/** More keys than any sheet has controls. */
const MOST_KEYS = 120;

/** Presses a key until the control, or what holds it, has the keyboard. */
async function keyUntil(page: Page, key: string, isThere: () => Promise<boolean>, what: string) {
  for (let pressed = 0; pressed <= MOST_KEYS; pressed += 1) {
    if (await isThere()) return;
    await page.keyboard.press(key);
  }
  throw new Error(`${what} is not reached by ${key}`);
}

const hasFocus = (control: Locator): Promise<boolean> =>
  control.evaluate((element) => element === document.activeElement);
const isChecked = (radio: Locator): Promise<boolean> => radio.isChecked();
/** One of the same group of radio buttons: Tab goes to the group, arrows go on in it. */
const groupHasFocus = (radio: Locator): Promise<boolean> =>
  radio.evaluate(
    (element) => (document.activeElement as HTMLInputElement).name === (element as HTMLInputElement).name,
  );

/** How far Tab goes for sure, and which way, before the control can have the keyboard: a group of radio buttons counts as none. */
const tabsTo = (control: Locator): Promise<number> =>
  control.evaluate((target) => {
    const all = [
      ...document.querySelectorAll<HTMLInputElement>("a[href], button, input, select, textarea"),
    ].filter((one) => !one.disabled && one.tabIndex >= 0 && one.getClientRects().length > 0);
    const [from, to] = [document.activeElement, target].map((one) => all.indexOf(one as HTMLInputElement));
    const [low, high] = [Math.min(from ?? 0, to ?? 0), Math.max(from ?? 0, to ?? 0)];
    const between = all.slice(low + 1, high).filter(({ type }) => type !== "radio").length;
    return (from ?? 0) <= (to ?? 0) ? between : -between;
  });

/** Never touches the mouse. */
export function keys(page: Page): Sheet {
  const goTo = async (control: Locator): Promise<void> => {
    await expect(control).toHaveCount(1);
    if (await hasFocus(control)) return;
    const tabs = await tabsTo(control);
    const key = tabs < 0 ? "Shift+Tab" : "Tab";
    // Asking after each key would take most of a journey's time.
    for (let pressed = 0; pressed < Math.abs(tabs); pressed += 1) await page.keyboard.press(key);
    await keyUntil(page, key, () => hasFocus(control), String(control));
  };
  return at(page, {
    async type(control, text) {
      await goTo(control);
      await page.keyboard.press("Control+a");
      await page.keyboard.press("Delete");
      await page.keyboard.type(text);
    },
    async choose(radio) {
      await keyUntil(page, "Tab", () => groupHasFocus(radio), String(radio));
      await page.keyboard.press("Space");
      await keyUntil(page, "ArrowRight", () => isChecked(radio), String(radio));
    },
    async pick(select, label) {
      await goTo(select);
      await page.keyboard.type(label);
      await expect(select.locator("option:checked")).toHaveText(label);
    },
    async press(button) {
      await goTo(button);
      await page.keyboard.press("Enter");
    },
    async keep() {
      const reading = page.getByTestId("reading");
      const button = page.getByRole("button", { name: "Keep", exact: true });
      await goTo((await reading.count()) > 0 ? reading : button);
      await page.keyboard.press("Enter");
    },
  });
}

/** Our own keypad where it stands ready, the phone's own keys elsewhere. */
export function fingers(page: Page): Sheet {
  const pad = () => page.getByRole("group", { name: "Keypad" });
  return at(page, {
    async type(control, text) {
      await control.tap();
      if (!(await control.evaluate((element) => element.hasAttribute("data-figures")))) {
        await control.fill("");
        await page.keyboard.type(text);
        return;
      }
      for (const key of text.match(/OL|\d|\.|[a-zμΩ]+/gi) ?? []) {
        const button = pad().getByRole("button", { name: key, exact: true });
        // A letter that the keypad spells out with its unit.
        await (key === "u" ? pad().getByRole("button", { name: "μF", exact: true }) : button).tap();
      }
      await expect(control).toHaveValue(text.replace("u", "μF"));
    },
    choose: (radio) => page.locator("label.chip", { has: radio }).tap(),
    // What a tap opens is the phone's own list: it is not part of the page.
    pick: async (select, label) => void (await select.selectOption({ label })),
    press: (button) => button.tap(),
    async keep() {
      await page.getByRole("button", { name: "Keep", exact: true }).last().tap();
    },
  });
}
