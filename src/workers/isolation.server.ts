// Isolation away from the server's main thread. Adapter only: the knowledge once, then one request in, one Result out.
import { parentPort, workerData } from "node:worker_threads";
import { createIsolator } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { IsolationKnowledge } from "@/core/isolation/machine-model";

export interface IsolationJob {
  readonly id: number;
  readonly request: IsolateRequest;
}

const isolate = createIsolator(workerData as IsolationKnowledge);

parentPort?.on("message", ({ id, request }: IsolationJob) => {
  parentPort?.postMessage({ id, result: isolate(request) });
});
