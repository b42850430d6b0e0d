import { createStore, delMany, entries, get, keys, set, type UseStore } from "idb-keyval";
import type { Isolation } from "@/core/isolation/isolate";

/** Of one device: a shop's jobs of a few days. */
const MOST_KEPT = 40;

interface Kept {
  readonly isolation: Isolation;
  /** When it was worked out, ms. */
  readonly at: number;
}

/** Answers that were worked out on this device, by what was asked. */
export interface KeptAnswers {
  /** What was answered to exactly this before; undefined where nothing was, or the browser keeps nothing. */
  find(asked: string): Promise<Isolation | undefined>;
  keep(asked: string, isolation: Isolation): void;
}

/** A browser may refuse to keep anything, at once or at any later moment: then nothing is found, and nothing is lost. */
async function orNothing<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch {
    return undefined;
  }
}

async function dropOldest(store: UseStore): Promise<void> {
  const all = await entries<string, Kept>(store);
  const old = all.sort(([, one], [, other]) => other.at - one.at).slice(MOST_KEPT);
  if (old.length > 0)
    await delMany(
      old.map(([key]) => key),
      store,
    );
}

/**
 * Answers kept on the device under the whole text of their request: a hash of it could once give another machine's.
 * @param engine names the program and the knowledge that work them out; what another one kept is dropped
 */
export function keptAnswers(engine: string): KeptAnswers {
  const here = new Map<string, Isolation>();
  const keyOf = (asked: string): string => `${engine} ${asked}`;
  const opened = orNothing(async () => {
    const store = createStore("good-spindle", "isolation");
    const old = (await keys<string>(store)).filter((key) => !key.startsWith(`${engine} `));
    if (old.length > 0) await delMany(old, store);
    return store;
  });
  return {
    async find(asked) {
      const known = here.get(asked);
      if (known) return known;
      const store = await opened;
      const found = store && (await orNothing(() => get<Kept>(keyOf(asked), store)));
      if (found) here.set(asked, found.isolation);
      return found?.isolation;
    },
    keep(asked, isolation) {
      here.set(asked, isolation);
      const [oldest] = here.keys();
      if (here.size > MOST_KEPT && oldest !== undefined) here.delete(oldest);
      void orNothing(async () => {
        const store = await opened;
        if (!store) return;
        await set(keyOf(asked), { isolation, at: Date.now() } satisfies Kept, store);
        await dropOldest(store);
      });
    },
  };
}
