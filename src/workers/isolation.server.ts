// Isolation away from the server's main thread. Adapter only: one request in, one Result out.
import { parentPort } from "node:worker_threads";
import { createIsolator, type IsolateRequest } from "@/core/isolation/isolate";
import type { IsolationKnowledge } from "@/core/isolation/machine-model";
import type { Limits } from "@/core/knowledge/types";

export interface IsolationJob {
  readonly id: number;
  readonly limitsKey: string;
  readonly limits: Limits;
  readonly knowledge: IsolationKnowledge;
  readonly request: IsolateRequest;
}

const isolators = new Map<string, ReturnType<typeof createIsolator>>();

parentPort?.on("message", ({ id, limitsKey, limits, knowledge, request }: IsolationJob) => {
  const known = isolators.get(limitsKey) ?? createIsolator(knowledge, limits);
  isolators.set(limitsKey, known);
  parentPort?.postMessage({ id, result: known(request) });
});
