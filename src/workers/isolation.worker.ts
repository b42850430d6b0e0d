import * as Comlink from "comlink";
import { createIsolator, type IsolateRequest, type Isolation } from "@/core/isolation/isolate";
import type { IsolationKnowledge } from "@/core/isolation/machine-model";
import type { Limits } from "@/core/knowledge/types";
import { fail, issue, type Result } from "@/core/result";

let isolator: ReturnType<typeof createIsolator> | undefined;

/** Isolation away from the page's own thread. Adapter only: plain data in and out. */
const api = {
  prepare(knowledge: IsolationKnowledge, limits: Limits): void {
    isolator = createIsolator(knowledge, limits);
  },
  isolate(request: IsolateRequest): Result<Isolation> {
    return isolator?.(request) ?? fail(issue("", "isolation/not-ready", "The knowledge is not loaded yet."));
  },
};

export type IsolationWorker = typeof api;

Comlink.expose(api);
