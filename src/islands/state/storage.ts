/** What lasts on this device, or only as long as this tab. */
type Where = "device" | "tab";

/** What a browser that refuses its storage could not keep: known as long as the page is. */
const refused = new Map<string, string>();

const nameIn = (where: Where, key: string): string => `${where}:${key}`;

function storeOf(where: Where): Storage {
  return where === "device" ? localStorage : sessionStorage;
}

/** Plain text that was kept. */
export function keptText(where: Where, key: string): string | null {
  const held = refused.get(nameIn(where, key));
  if (held !== undefined) return held;
  try {
    return storeOf(where).getItem(key);
  } catch {
    return null;
  }
}

/** What was kept; undefined where there is nothing, or nothing that can be read. */
export function kept(where: Where, key: string): unknown {
  const text = keptText(where, key);
  if (text === null) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export function keep(where: Where, key: string, value: unknown): void {
  keepText(where, key, JSON.stringify(value));
}

/** Keeps text; where the browser refuses (no room, or no storage at all), as long as this page is there. */
export function keepText(where: Where, key: string, text: string): void {
  try {
    storeOf(where).setItem(key, text);
    refused.delete(nameIn(where, key));
  } catch {
    refused.set(nameIn(where, key), text);
  }
}

export function forget(where: Where, key: string): void {
  refused.delete(nameIn(where, key));
  try {
    storeOf(where).removeItem(key);
  } catch {
    // What keeps nothing holds nothing.
  }
}
