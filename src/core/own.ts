/**
 * What a plain object holds itself under a key that came from outside. `object[key]` would also find what every object
 * has ("constructor"). A rule of the tree keeps tables with outside keys in a Map; this is for objects that travel as JSON.
 */
export function own<T>(table: Readonly<Record<string, T>>, key: string): T | undefined {
  return Object.hasOwn(table, key) ? table[key] : undefined;
}
