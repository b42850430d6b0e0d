import { readdirSync, readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { parse } from "yaml";
import type { RawKnowledge } from "../../src/core/knowledge/load";

const ROOT = "src/knowledge";

/** YAML 1.2 core schema; a key that stands twice is an error that names its line. */
function readYaml(path: string): unknown {
  try {
    return parse(readFileSync(path, "utf8"), { uniqueKeys: true });
  } catch (error) {
    throw new Error(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
}

function folder(name: string): Record<string, unknown> {
  const files = readdirSync(join(ROOT, name)).filter((file) => file.endsWith(".yaml"));
  return Object.fromEntries(
    files.sort().map((file) => [basename(file, ".yaml"), readYaml(join(ROOT, name, file))]),
  );
}

/** The pages and tables under src/knowledge, as they stand. */
export function readKnowledgeFiles(): RawKnowledge {
  return { moves: folder("moves"), faults: folder("faults"), tables: folder("tables") };
}
