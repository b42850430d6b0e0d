import { loadKnowledge } from "@/core/knowledge/load";
import type { Knowledge } from "@/core/knowledge/types";
import compiled from "@/knowledge/compiled.json";

let loaded: Knowledge | undefined;

/** The knowledge this program ships with. A fault in it stops the program at start, with every problem named. */
export function shopKnowledge(): Knowledge {
  if (!loaded) {
    const result = loadKnowledge(compiled);
    if (!result.ok)
      throw new Error(
        `The knowledge does not fit:\n${result.issues.map(({ message }) => message).join("\n")}`,
      );
    loaded = result.value;
  }
  return loaded;
}
