/** A label inside a sentence: only its first letter goes small, since units and what a meter shows (OL) keep their capitals. */
export function inSentence(label: string): string {
  if (/^[A-Z]{2}/.test(label)) return label;
  return `${label.charAt(0).toLowerCase()}${label.slice(1)}`;
}
