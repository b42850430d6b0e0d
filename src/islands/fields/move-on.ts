const FIGURES = "[data-figures]";
/** Where the way on stands when no other figure is asked for. */
export const NEXT_STEP = "next-step";

function drawn(): Promise<void> {
  return new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())));
}

/** Identifiers of the figures asked for further down the page. */
function figuresAfter(place: Element): readonly string[] {
  return [...document.querySelectorAll<HTMLInputElement>(FIGURES)]
    .filter((one) => place.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING)
    .map(({ id }) => id);
}

function firstOf(ids: readonly string[]): HTMLElement | undefined {
  return ids.flatMap((id) => document.getElementById(id) ?? [])[0];
}

function isObjected(): boolean {
  return document.querySelector("[aria-invalid]") !== null;
}

/** Keeps what a field holds; once it is kept, the focus goes to the next figure asked for, or to the next step. */
export async function keepAndMoveOn(field: HTMLInputElement, keep: () => unknown): Promise<void> {
  const later = figuresAfter(field);
  await keep();
  await drawn();
  const isStillTyped = field.isConnected && field.value !== "";
  if (isStillTyped || isObjected()) return;
  (firstOf(later) ?? document.getElementById(NEXT_STEP))?.focus();
}

/** Keeps an answer that was tapped; once it is kept, the focus goes to the next figure asked for below it, if there is one. */
export async function answerAndMoveOn(button: Element, keep: () => Promise<boolean>): Promise<void> {
  const later = figuresAfter(button);
  if (!(await keep())) return;
  await drawn();
  if (!isObjected()) firstOf(later)?.focus();
}
