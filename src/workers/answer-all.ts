import { parentPort } from "node:worker_threads";

/** Answers every question that the server's main thread asks; what throws is told of by name only, as it may quote input. */
export function answerAll<Q>(answer: (question: Q) => unknown): void {
  parentPort?.on("message", async ({ id, question }: { readonly id: number; readonly question: Q }) => {
    try {
      parentPort?.postMessage({ id, answer: await answer(question) });
    } catch (error) {
      parentPort?.postMessage({ id, failed: error instanceof Error ? error.name : "error" });
    }
  });
}
