const TYPING = /^(INPUT|TEXTAREA|SELECT)$/;
const LETTER = /^[a-z]$/;
/** Marks a field in which a figure is expected: while one stands on the page a letter is a unit, never a command. */
const FIGURES = "[data-figures]";

/** Whether a key goes into a field: then it is text, never a command. */
function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  if (!target) return false;
  const isButton = target instanceof HTMLInputElement && /^(radio|checkbox)$/.test(target.type);
  return (TYPING.test(target.tagName) && !isButton) || target.isContentEditable;
}

/**
 * Listens for one key outside every field; a letter counts only where no figure is expected.
 * @returns what ends the listening
 */
export function onKey(key: string, act: (event: KeyboardEvent) => void): () => void {
  const listener = (event: KeyboardEvent): void => {
    if (event.key !== key || event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return;
    if (LETTER.test(key) && document.querySelector(FIGURES)) return;
    act(event);
  };
  document.addEventListener("keydown", listener);
  return () => document.removeEventListener("keydown", listener);
}
