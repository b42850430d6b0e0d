const STORE: Readonly<Record<string, string>> = {
  start: "start capacitor",
  run: "run capacitor",
  bus: "board",
  any: "whatever stores charge",
};

export function storeWords(id: string): string {
  return STORE[id] ?? id;
}
