// Where jobs stand, worked out away from the server's main thread. Adapter only: logs as text in, facts out.
import { workerData } from "node:worker_threads";
import { answerAll } from "@/workers/answer-all";
import { type FactsContext, factsInText, type LogText } from "./own-facts";

const context: FactsContext = workerData;

answerAll((logs: LogText) => factsInText(logs, context));
