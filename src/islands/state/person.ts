import { keepText, keptText } from "./storage";

const KEY = "good-spindle:bench-name";

function madeUp(): string {
  const [random = 0] = crypto.getRandomValues(new Uint32Array(1));
  return `bench ${(random % 900) + 100}`;
}

/** Who posts from this device: a bench's name, kept on the device. */
export function benchName(): string {
  const known = keptText("device", KEY);
  if (known) return known;
  const name = madeUp();
  keepText("device", KEY, name);
  return name;
}

export function setBenchName(name: string): void {
  keepText("device", KEY, name.trim().slice(0, 40));
}

/** A version 4 UUID that also works where the page is no secure context. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
