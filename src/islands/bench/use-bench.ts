import { useStore } from "@nanostores/react";
import { useCallback, useEffect, useRef, useState } from "react";
import type { BenchJob, BenchPage } from "@/core/job/bench-page";
import type { QueryOf } from "@/wire/route";
import type { Wire } from "@/wire/wire";
import { request } from "../state/api";
import { WAKING } from "../state/awake";
import { $changes } from "../state/tabs";

export interface Bench extends BenchPage {
  /** Where the next page of the machines that have left begins; undefined while none was asked for. */
  readonly nextGone: string | null | undefined;
  /** Whether all that is shown by itself is there; the page comes with the machines at the top only. */
  readonly isWhole: boolean;
  /** Loads the next page. */
  more(list: "here" | "gone"): void;
}

type Loaded = Omit<Bench, "more">;

const WAIT_MS = 200;
/** So many machines are shown by themselves; more are asked for. */
const MOST_SHOWN = 200;

async function load(query: QueryOf<Wire["GET /api/bench"]>): Promise<BenchPage | undefined> {
  const answer = await request("GET /api/bench", { query });
  return answer.ok ? answer.value : undefined;
}

/** Jobs as they were shown, with those loaded since in their place. */
function merged(shown: readonly BenchJob[], loaded: readonly BenchJob[]): readonly BenchJob[] {
  const fresh = new Set(loaded.map(({ standing }) => standing.jobId));
  return [...shown.filter(({ standing }) => !fresh.has(standing.jobId)), ...loaded];
}

/** The machines that are here, page by page from the first, until there are enough. */
async function loadHere(): Promise<BenchPage | undefined> {
  let page = await load({});
  while (page?.next && page.jobs.length < MOST_SHOWN) {
    const { jobs } = page;
    const more: BenchPage | undefined = await load({ after: page.next });
    page = more && { ...more, jobs: merged(jobs, more.jobs) };
  }
  return page;
}

/** The machines as the page had them, a {@link BenchPage} as JSON; the others and what changed on this or another device is loaded again. */
export function useBench(fromPage: string): Bench {
  const changes = useStore($changes, WAKING);
  const [bench, setBench] = useState<Loaded>(() => {
    const page: BenchPage = JSON.parse(fromPage);
    return { ...page, nextGone: undefined, isWhole: page.jobs.length >= page.here };
  });
  const isPart = useRef(!bench.isWhole);
  useEffect(() => {
    if (!isPart.current) return;
    isPart.current = false;
    void loadHere().then((page) => {
      if (page) setBench((shown) => ({ ...shown, ...page, isWhole: true }));
    });
  }, []);
  const waiting = useRef(new Set<number | undefined>());
  useEffect(() => {
    if (changes.count === 0) return undefined;
    waiting.current.add(changes.jobId);
    const timer = setTimeout(async () => {
      const wanted = [...waiting.current];
      waiting.current.clear();
      if (wanted.includes(undefined)) {
        const page = await loadHere();
        if (page) setBench({ ...page, nextGone: undefined, isWhole: true });
        return;
      }
      for (const jobId of wanted) {
        const page = await load({ job: String(jobId) });
        if (page)
          setBench((shown) => ({
            ...shown,
            here: page.here,
            gone: page.gone,
            jobs: merged(shown.jobs, page.jobs),
          }));
      }
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [changes]);
  const { next, nextGone } = bench;
  const more = useCallback(
    async (list: "here" | "gone") => {
      const after = list === "here" ? next : nextGone;
      if (after === null) return;
      const page = await load(after ? { list, after } : { list });
      if (!page) return;
      const place = list === "here" ? { next: page.next } : { nextGone: page.next };
      setBench((shown) => ({
        ...shown,
        ...place,
        here: page.here,
        gone: page.gone,
        jobs: merged(shown.jobs, page.jobs),
      }));
    },
    [next, nextGone],
  );
  return { ...bench, more: (list) => void more(list) };
}
