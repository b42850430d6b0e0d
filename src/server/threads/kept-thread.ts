import { Worker } from "node:worker_threads";

interface Waiting<A> {
  resolve(answer: A): void;
  reject(error: Error): void;
}

interface Answered<A> {
  readonly id: number;
  readonly answer?: A;
  /** Why there is none: a fault of the program, not of what was asked. */
  readonly failed?: string;
}

/** A thread beside the server that is begun when it is first asked, and kept: what it built stays built. */
export interface KeptThread<Q, A> {
  ask(question: Q): Promise<A>;
  /** Gives back what the thread holds; whatever still waited fails, and the next question begins another one. */
  end(): void;
}

/**
 * Answers come as they are ready. A thread that breaks off fails whatever waited for it; the next question begins
 * another one.
 * @param workerData what goes over once, with the thread
 */
export function keptThread<Q, A>(path: string, workerData?: () => unknown): KeptThread<Q, A> {
  const waiting = new Map<number, Waiting<A>>();
  let lastId = 0;
  let thread: Worker | undefined;

  function ended(which: Worker, error: Error): void {
    if (thread !== which) return;
    thread = undefined;
    for (const { reject } of waiting.values()) reject(error);
    waiting.clear();
  }

  function begun(): Worker {
    if (thread) return thread;
    const made = new Worker(path, { workerData: workerData?.() });
    made.unref();
    made.on("message", ({ id, answer, failed }: Answered<A>) => {
      const asked = waiting.get(id);
      waiting.delete(id);
      if (failed === undefined) asked?.resolve(answer as A);
      else asked?.reject(new Error(failed));
    });
    made.on("error", (error) => ended(made, error));
    made.on("exit", (code) => ended(made, new Error(`the thread ${path} ended (${code})`)));
    thread = made;
    return made;
  }

  return {
    ask: (question) =>
      new Promise<A>((resolve, reject) => {
        lastId += 1;
        waiting.set(lastId, { resolve, reject });
        begun().postMessage({ id: lastId, question });
      }),
    end: () => {
      const made = thread;
      if (!made) return;
      ended(made, new Error(`the thread ${path} was ended`));
      void made.terminate();
    },
  };
}
