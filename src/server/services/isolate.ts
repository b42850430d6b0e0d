import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { Knowledge } from "@/core/knowledge/types";
import type { Result } from "@/core/result";
import { builtWorker } from "@/server/threads/built-worker";
import { type KeptThread, keptThread } from "@/server/threads/kept-thread";
import type { ShopContext } from "./shop-context";

const WORKER_PATH = builtWorker("isolation");

type Isolating = Pick<KeptThread<IsolateRequest, Result<Isolation>>, "ask">;

let kept: Isolating | undefined;

/** The last answers: a decision is asked for again as its job stands, and a request says all that its answer follows from. */
const answered = new Map<string, Promise<Result<Isolation>>>();
const MOST_ANSWERS = 16;

/** In development and tests no thread is built. */
function inPlace(knowledge: Knowledge): Isolating {
  const isolate = createIsolator(knowledge);
  return { ask: (request) => Promise.resolve(isolate(request)) };
}

/**
 * Isolation for the API: in a thread of its own once built; in development and tests, in place. The knowledge goes over
 * once: it does not change while the program runs.
 */
export function isolateOffThread(
  request: IsolateRequest,
  { knowledge }: ShopContext,
): Promise<Result<Isolation>> {
  kept ??= WORKER_PATH === undefined ? inPlace(knowledge) : keptThread(WORKER_PATH, () => knowledge);
  const asked = JSON.stringify(request);
  const known = answered.get(asked);
  if (known) return known;
  const answer = kept.ask(request);
  answered.set(asked, answer);
  const [oldest] = answered.keys();
  if (answered.size > MOST_ANSWERS && oldest !== undefined) answered.delete(oldest);
  // A thread that broke off answered nothing.
  answer.catch(() => answered.delete(asked));
  return answer;
}
