import { type Remote, wrap } from "comlink";
import type { Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { Knowledge } from "@/core/knowledge/types";
import { fail, issue, type Result } from "@/core/result";
import type { IsolationWorker } from "@/workers/isolation.worker";
// By the name that the build gives it: a program that works out something else has another.
import PROGRAM from "@/workers/isolation.worker?worker&url";
import { request } from "../state/api";
import { type KeptAnswers, keptAnswers } from "./kept-answers";

/** What a tab works isolation out with: made once, whatever screens come and go in it. */
export interface Engine {
  readonly knowledge: Knowledge;
  readonly answers: KeptAnswers;
  isolate(asked: IsolateRequest): Promise<Result<Isolation>>;
}

const BROKE_OFF = issue(
  "",
  "isolation/broke-off",
  "The working out broke off. Nothing you typed is lost: load the page again.",
);

interface Thread {
  readonly remote: Remote<IsolationWorker>;
  /** Rejects once the thread breaks off; it never resolves. */
  readonly broken: Promise<never>;
}

function begin(knowledge: Knowledge, onBroken: () => void): Promise<Thread> {
  const worker = new Worker(PROGRAM, { type: "module" });
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener("error", (event) => {
      event.preventDefault();
      worker.terminate();
      onBroken();
      reject(new Error("the thread broke off"));
    });
  });
  broken.catch(() => undefined);
  const remote = wrap<IsolationWorker>(worker);
  return Promise.race([remote.prepare(knowledge).then(() => ({ remote, broken })), broken]);
}

/** The thread is begun when something has to be worked out that was not before, and begun once more where it broke off. */
function workingOut(knowledge: Knowledge): Engine["isolate"] {
  let thread: Promise<Thread> | undefined;
  const once = async (asked: IsolateRequest): Promise<Result<Isolation>> => {
    thread ??= begin(knowledge, () => {
      thread = undefined;
    });
    const { remote, broken } = await thread;
    return Promise.race([remote.isolate(asked), broken]);
  };
  return (asked) => once(asked).catch(() => once(asked).catch(() => fail(BROKE_OFF)));
}

let made: Promise<Result<Engine>> | undefined;

async function make(): Promise<Result<Engine>> {
  const answer = await request("GET /api/knowledge");
  if (!answer.ok) {
    made = undefined;
    return answer;
  }
  const knowledge = answer.value;
  const answers = keptAnswers(`${PROGRAM} ${knowledge.version}`);
  return { ok: true, value: { knowledge, answers, isolate: workingOut(knowledge) } };
}

/** The engine of this tab. Where the shop's computer does not answer it is asked for again the next time. */
export function engineOfTab(): Promise<Result<Engine>> {
  made ??= make();
  return made;
}
