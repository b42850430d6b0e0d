/** A label inside a sentence: only its first letter goes small, since units keep their capitals. */
export function inSentence(label: string): string {
  return `${label.charAt(0).toLowerCase()}${label.slice(1)}`;
}
