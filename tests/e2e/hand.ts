import { expect, type Locator, type Page, test } from "@playwright/test";

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/** Nobody answers a card within the moment it comes up: such a tap would be asked about. */
const READS_MS = 700;

/**
 * The hand of somebody who sees the product for the first time: every tap and every typed key is counted, and on a page of
 * a job the next step must be in sight before each of them.
 */
export class Hand {
  taps = 0;
  keys = 0;

  constructor(
    readonly page: Page,
    readonly isTouch = false,
  ) {}

  /** Writes the counts into the report, and holds the taps to what they came down to. */
  expectTaps(most: number): void {
    test.info().annotations.push({ type: "counted", description: `${this.taps} taps, ${this.keys} keys` });
    expect(this.taps).toBeLessThanOrEqual(most);
  }

  /** A button, a link or a chip by what is written on it. */
  named(name: string | RegExp, inside: Page | Locator = this.page): Locator {
    const text = typeof name === "string" ? new RegExp(`^\\s*${escaped(name)}\\s*$`) : name;
    return inside
      .getByRole("button", { name: text })
      .or(inside.getByRole("link", { name: text }))
      .or(inside.locator("label.chip, summary", { hasText: text }))
      .filter({ visible: true })
      .first();
  }

  private async wayOnInSight(): Promise<void> {
    if (!/\/jobs\/\d+\/(?!sheet|tag)/.test(this.page.url())) return;
    // A form that has something to keep has its own button there.
    await expect(this.page.locator("#next-step, form .btn-loud").first()).toBeInViewport();
  }

  private async press(target: Locator): Promise<void> {
    await this.page.waitForFunction(() => document.querySelector("astro-island[ssr]") === null);
    await this.wayOnInSight();
    await expect(target).toBeEnabled();
    await (this.isTouch ? target.tap() : target.click());
    this.taps += 1;
  }

  async tap(name: string | RegExp, inside?: Locator): Promise<void> {
    await this.press(this.named(name, inside));
  }

  /** An answer on the card of the move, by how it begins. */
  async answer(begins: string | RegExp): Promise<void> {
    const card = this.page.getByTestId("next-move");
    await expect(card).toBeVisible();
    await this.page.waitForTimeout(READS_MS);
    await this.tap(typeof begins === "string" ? new RegExp(`^${escaped(begins)}`) : begins, card);
  }

  /** The one control at the foot, once it says this. */
  async next(name: RegExp): Promise<void> {
    const step = this.page.locator("#next-step");
    await expect(step).toHaveText(name);
    await this.press(step);
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }

  async write(label: string | RegExp, text: string): Promise<void> {
    await this.press(
      this.page.getByRole("textbox", { name: label, exact: typeof label === "string" }).first(),
    );
    await this.type(text);
  }

  async enter(): Promise<void> {
    await this.page.keyboard.press("Enter");
    this.keys += 1;
  }

  /** A figure where the focus stands: typed, or on a phone with our own keys, and kept. */
  async figure(text: string): Promise<void> {
    const field = this.page.locator("[data-figures]:focus");
    // The one before is kept first.
    await expect(field).toHaveValue("");
    if (!this.isTouch) {
      await this.type(text);
      await this.enter();
      return;
    }
    const pad = this.page.getByRole("group", { name: "Keypad" }).filter({ visible: true }).first();
    for (const key of text.match(/\d|\.|OL|[a-zμΩ]+/gi) ?? []) {
      await this.named(key, pad).tap();
      this.keys += 1;
    }
    await this.tap("Keep", pad);
  }
}

/** What is true of a machine: the answer to a move by its title, or what is done to give it. */
export type Truth = Readonly<Record<string, string | RegExp | ((hand: Hand) => Promise<void>)>>;

const MOST_MOVES = 14;

/**
 * Does on Isolate what the card advises and answers as the machine is, until no move is worth its price, the machine is to be made safe
 * for the next one first, or the owner is to be rung. @returns the moves made
 */
export async function isolate(hand: Hand, truth: Truth): Promise<string[]> {
  const { page } = hand;
  const made: string[] = [];
  const moves = page.getByTestId("moves");
  while (made.length < MOST_MOVES) {
    await expect(moves).toHaveAttribute("aria-busy", "false");
    if (await page.getByRole("heading", { name: "No move left is worth its price" }).isVisible()) return made;
    const card = page.getByTestId("next-move");
    if (await page.getByTestId("make-ready").isVisible()) return made;
    if (await page.getByTestId("owner-card").isVisible()) return made;
    const title = (await card.getByRole("heading", { level: 1 }).textContent())?.trim() ?? "";
    const answer = truth[title];
    expect(answer, `the machine has an answer to “${title}” after ${made.join(", ")}`).toBeDefined();
    const seq = await page.getByTestId("ledger").textContent();
    if (typeof answer === "function") await answer(hand);
    else if (answer !== undefined) await hand.answer(answer);
    await expect(page.getByTestId("ledger")).not.toHaveText(seq ?? "");
    made.push(title);
  }
  return made;
}

/** From the Bench to the form at the door. */
export async function toTheDoor(hand: Hand, address: string): Promise<void> {
  await hand.page.goto(address);
  await hand.tap("Take in a machine");
  await hand.page.waitForURL("**/jobs/new");
}

/** From the search to the work: the first route is taken, its repair done. */
export async function decideAndDo(hand: Hand, done: string): Promise<void> {
  await hand.next(/^Decide what to do/);
  await hand.page.waitForURL("**/decide");
  await hand.tap("Take this route");
  await hand.page.waitForURL("**/put-back");
  await hand.tap(done);
}

/** Final tests with these figures, and a run in which the complaint is gone. */
export async function testAndRun(
  hand: Hand,
  figures: readonly string[],
  run: { readonly as: string; readonly minutes: string; readonly meanwhile?: () => void },
): Promise<void> {
  await hand.next(/^Take the final tests/);
  await hand.page.waitForURL("**/sign-off#tests");
  await hand.tap("Sound");
  for (const figure of figures) await hand.figure(figure);
  await hand.tap(/^Plugged in, hands off/);
  run.meanwhile?.();
  await hand.tap(run.as);
  await hand.write("For how many minutes", run.minutes);
  await hand.tap("The complaint is gone");
}

/** Signs off and opens the letter. */
export async function toTheLetter(hand: Hand): Promise<Locator> {
  await hand.tap("Sign off");
  await hand.next(/^The owner's sheet/);
  await hand.page.waitForURL("**/sheet");
  return hand.page.getByRole("article", { name: "Letter to the owner" });
}
