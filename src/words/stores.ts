const STORE: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    start: "start capacitor",
    run: "run capacitor",
    bus: "board's large capacitor",
    suppressor: "suppressor, pin to pin at the plug",
    any: "whatever stores charge",
  }),
);

export function storeWords(id: string): string {
  return STORE.get(id) ?? id;
}
