const FIGURES = "[data-figures]";
/** Where the way on stands when no other figure is asked for. */
export const NEXT_STEP = "next-step";

function drawn(): Promise<void> {
  return new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())));
}

/** Keeps what a field holds; once it is kept, the focus goes to the next figure asked for, or to the next step. */
export async function keepAndMoveOn(field: HTMLInputElement, keep: () => unknown): Promise<void> {
  const all = [...document.querySelectorAll<HTMLInputElement>(FIGURES)];
  const later = all.slice(all.indexOf(field) + 1);
  await keep();
  await drawn();
  const isStillTyped = field.isConnected && field.value !== "";
  if (isStillTyped || document.querySelector("[aria-invalid]")) return;
  const next = later.find((one) => document.getElementById(one.id)) ?? undefined;
  (document.getElementById(next?.id ?? NEXT_STEP) ?? document.getElementById(NEXT_STEP))?.focus();
}
