// Parts of the report that were measured before, so that one can be measured again without the others.

import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";

export interface Kept<T> {
  readonly knowledgeVersion: string;
  readonly day: string;
  readonly found: T;
}

const FOLDER = ".cache/isolation";

/** Measures a part and keeps it; where it was not asked for, what was measured last. Throws where nothing was. */
export async function partOf<T>(
  name: string,
  isAsked: boolean,
  knowledgeVersion: string,
  measure: () => Promise<T> | T,
): Promise<Kept<T>> {
  const path = `${FOLDER}/${name}.json`;
  if (!isAsked) {
    if (!existsSync(path)) throw new Error(`the part "${name}" was never measured: run the whole`);
    return JSON.parse(readFileSync(path, "utf8"));
  }
  const kept: Kept<T> = {
    knowledgeVersion,
    found: await measure(),
    day: new Date().toISOString().slice(0, 10),
  };
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(path, JSON.stringify(kept));
  console.log(`${name} measured`);
  return kept;
}
