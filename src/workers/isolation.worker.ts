import * as Comlink from "comlink";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { IsolationKnowledge } from "@/core/isolation/machine-model";
import { fail, issue, type Result } from "@/core/result";

let isolator: ReturnType<typeof createIsolator> | undefined;

/** Isolation away from the page's own thread. Adapter only: plain data in and out. */
const api = {
  prepare(knowledge: IsolationKnowledge): void {
    isolator = createIsolator(knowledge);
  },
  isolate(request: IsolateRequest): Result<Isolation> {
    return isolator?.(request) ?? fail(issue("", "isolation/not-ready", "The knowledge is not loaded yet."));
  },
};

export type IsolationWorker = typeof api;

Comlink.expose(api);
