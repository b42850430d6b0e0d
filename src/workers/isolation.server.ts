// Isolation away from the server's main thread. Adapter only: the knowledge once, then one request in, one Result out.
import { workerData } from "node:worker_threads";
import { createIsolator } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { IsolationKnowledge } from "@/core/isolation/machine-model";
import { answerAll } from "./answer-all";

const isolate = createIsolator(workerData as IsolationKnowledge);

answerAll((request: IsolateRequest) => isolate(request));
