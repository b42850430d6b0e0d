const STORE: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    start: "start capacitor",
    run: "run capacitor",
    bus: "board",
    any: "whatever stores charge",
  }),
);

export function storeWords(id: string): string {
  return STORE.get(id) ?? id;
}
