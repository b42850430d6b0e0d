import { existsSync } from "node:fs";
import { resolve } from "node:path";
import { Worker } from "node:worker_threads";
import { createIsolator, type IsolateRequest, type Isolation } from "@/core/isolation/isolate";
import type { Result } from "@/core/result";
import type { Ground } from "./ground";

/** Left by the build beside the server (astro.config.ts). */
const WORKER_PATH = resolve("dist/server/isolation.worker.mjs");

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

function workerThread(): Worker {
  if (worker) return worker;
  const made = new Worker(WORKER_PATH);
  made.unref();
  made.on("message", ({ id, result }: { id: number; result: Result<Isolation> }) => {
    waiting.get(id)?.resolve(result);
    waiting.delete(id);
  });
  made.on("error", failAll);
  worker = made;
  return made;
}

function limitsKey({ knowledge, settings }: Ground): string {
  return `${knowledge.version}:${JSON.stringify(settings.value.limits)}`;
}

/** In development and tests, where no worker is built: kept for as long as the limits stay. */
let inPlace: { readonly key: string; readonly isolate: ReturnType<typeof createIsolator> } | undefined;

function isolateInPlace(request: IsolateRequest, ground: Ground): Result<Isolation> {
  const key = limitsKey(ground);
  if (inPlace?.key !== key) inPlace = { key, isolate: createIsolator(ground.knowledge, ground.limits) };
  return inPlace.isolate(request);
}

/** Isolation for the API: in a thread of its own once built; in development and tests, in place. */
export function isolateOffThread(request: IsolateRequest, ground: Ground): Promise<Result<Isolation>> {
  const { knowledge, limits } = ground;
  if (!existsSync(WORKER_PATH)) return Promise.resolve(isolateInPlace(request, ground));
  lastId += 1;
  const id = lastId;
  return new Promise((done, reject) => {
    waiting.set(id, { resolve: done, reject });
    workerThread().postMessage({ id, limitsKey: limitsKey(ground), limits, knowledge, request });
  });
}
