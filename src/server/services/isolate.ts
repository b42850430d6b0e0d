import { Worker } from "node:worker_threads";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { Knowledge } from "@/core/knowledge/types";
import type { Result } from "@/core/result";
import { builtWorker } from "./built-worker";
import type { ShopContext } from "./shop-context";

const WORKER_PATH = builtWorker("isolation");

interface Waiting {
  resolve(result: Result<Isolation>): void;
  reject(error: Error): void;
}

let worker: Worker | undefined;
let lastId = 0;
const waiting = new Map<number, Waiting>();

function failAll(error: Error): void {
  for (const { reject } of waiting.values()) reject(error);
  waiting.clear();
  worker = undefined;
}

function workerThread(path: string, knowledge: Knowledge): Worker {
  if (worker) return worker;
  // The knowledge goes over once, with the thread: it does not change while the program runs.
  const made = new Worker(path, { workerData: knowledge });
  made.unref();
  made.on("message", ({ id, result }: { id: number; result: Result<Isolation> }) => {
    waiting.get(id)?.resolve(result);
    waiting.delete(id);
  });
  made.on("error", failAll);
  worker = made;
  return made;
}

/** In development and tests, where no worker is built. */
let inPlace: ReturnType<typeof createIsolator> | undefined;

/** Isolation for the API: in a thread of its own once built; in development and tests, in place. */
export function isolateOffThread(
  request: IsolateRequest,
  { knowledge }: ShopContext,
): Promise<Result<Isolation>> {
  if (WORKER_PATH === undefined) {
    inPlace ??= createIsolator(knowledge);
    return Promise.resolve(inPlace(request));
  }
  lastId += 1;
  const id = lastId;
  return new Promise((done, reject) => {
    waiting.set(id, { resolve: done, reject });
    workerThread(WORKER_PATH, knowledge).postMessage({ id, request });
  });
}
