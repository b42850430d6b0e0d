import { existsSync } from "node:fs";
import { resolve } from "node:path";
import { Worker } from "node:worker_threads";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { Knowledge } from "@/core/knowledge/types";
import type { Result } from "@/core/result";
import type { ShopContext } from "./shop-context";

/** Left by the build beside the server (astro.config.ts). */
const WORKER_PATH = resolve("dist/server/isolation.worker.mjs");

/** Only the built server uses the built thread: a test must never talk to one that an older build left behind. */
const IS_BUILT = import.meta.env?.PROD === true && existsSync(WORKER_PATH);

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

function workerThread(knowledge: Knowledge): Worker {
  if (worker) return worker;
  // The knowledge goes over once, with the thread: it does not change while the program runs.
  const made = new Worker(WORKER_PATH, { workerData: knowledge });
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
  if (!IS_BUILT) {
    inPlace ??= createIsolator(knowledge);
    return Promise.resolve(inPlace(request));
  }
  lastId += 1;
  const id = lastId;
  return new Promise((done, reject) => {
    waiting.set(id, { resolve: done, reject });
    workerThread(knowledge).postMessage({ id, request });
  });
}
