export interface TimedText {
  readonly at: string;
  readonly reading: string;
}
/** What is typed for a pair of leads. */
export interface PairText {
  readonly a: string;
  readonly b: string;
  readonly reading: string;
}
type DraftValue = string | readonly string[] | readonly TimedText[] | readonly PairText[];

/** What is typed on a tool's sheet, by field; a meter that is not the shop's stands as three fields of its own. */
export type ToolDraft = Readonly<Record<string, DraftValue>>;

export const textOf = (draft: ToolDraft, id: string): string => {
  const value = draft[id];
  return typeof value === "string" ? value : "";
};
type Item = string | TimedText | PairText;
const isTimed = (one: Item): one is TimedText => typeof one !== "string" && "at" in one;
const isPair = (one: Item): one is PairText => typeof one !== "string" && "a" in one;
const isWord = (one: Item): one is string => typeof one === "string";

export function rowsOf(draft: ToolDraft, id: string): readonly TimedText[] {
  const value = draft[id];
  return typeof value === "object" ? [...value].filter(isTimed) : [];
}

export function wordsOf(draft: ToolDraft, id: string): readonly string[] {
  const value = draft[id];
  return typeof value === "object" ? [...value].filter(isWord) : [];
}

export function pairsOf(draft: ToolDraft, id: string): readonly PairText[] {
  const value = draft[id];
  return typeof value === "object" ? [...value].filter(isPair) : [];
}

/** The names of leads as they are typed in one line, with commas or without. */
export function leadsOf(draft: ToolDraft, id: string): readonly string[] {
  return textOf(draft, `${id}.leads`)
    .split(/[\s,;]+/)
    .filter((name) => name !== "");
}
