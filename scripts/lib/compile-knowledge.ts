import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { impossibleProofs } from "../../src/core/isolation/impossible-proofs";
import { loadKnowledge } from "../../src/core/knowledge/load";
import type { Issue } from "../../src/core/result";
import { readKnowledgeFiles } from "./knowledge-files";

const COMPILED = "src/knowledge/compiled.json";

/**
 * Reads every page, checks it and writes what the program loads. Nothing is written where anything is wrong, nor where
 * nothing changed, so that watchers do not wake for nothing.
 */
export function compileKnowledge(): readonly Issue[] {
  const raw = readKnowledgeFiles();
  const loaded = loadKnowledge(raw);
  if (!loaded.ok) return loaded.issues;
  const impossible = impossibleProofs(loaded.value);
  if (impossible.length > 0) return impossible;
  const text = JSON.stringify(raw);
  if (!existsSync(COMPILED) || readFileSync(COMPILED, "utf8") !== text) writeFileSync(COMPILED, text);
  return [];
}

/** The same where a wrong page must stop what would use it: builds and tests. */
export function compiledOrThrow(): void {
  const issues = compileKnowledge();
  if (issues.length > 0)
    throw new Error(`The knowledge does not hold:\n${issues.map(({ message }) => message).join("\n")}`);
}
