// Archives of the shop, away from the server's main thread. Adapter only: steps in, what came of each out.
import { answerAll } from "@/workers/answer-all";
import { archiveSteps } from "./archive-steps";

answerAll(archiveSteps());
