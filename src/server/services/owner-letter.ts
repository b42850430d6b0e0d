import type { ToolWords } from "@/core/tools/tool";
import { type Letter, letterOf } from "@/letter/letter";
import { loadWords } from "@/tools/registry";
import type { JobPage } from "./job-page";
import { readShopContext } from "./shop-context";

/** The letter to the owner as the log allows it now; undefined before the job is signed off. */
export async function ownerLetter({ view, shop, ownerName }: JobPage): Promise<Letter | undefined> {
  if (!view.signedOff) return undefined;
  const { knowledge } = await readShopContext();
  const toolIds = [...new Set(view.readings.map(({ toolId }) => toolId))];
  const words = await Promise.all(
    toolIds.map(async (id): Promise<[string, ToolWords | undefined]> => [id, await loadWords(id)]),
  );
  return letterOf(view, {
    shop,
    ownerName,
    faults: knowledge.faults,
    sentences: new Map(words.flatMap(([id, said]) => (said ? [[id, said] as const] : []))),
  });
}
