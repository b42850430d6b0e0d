import { builtWorker } from "@/server/threads/built-worker";
import { keptThread } from "@/server/threads/kept-thread";
import { type ArchiveStep, archiveSteps, type StepDone } from "./archive-steps";

const WORKER_PATH = builtWorker("archives");

/** Whoever writes an archive, and how it is let go. */
export interface ArchiveHand {
  ask(step: ArchiveStep): Promise<StepDone>;
  end(): void;
}

/** In a thread of its own once built, packing and reading back included: nobody waits for it. In tests, in place. */
export function archiveHand(): ArchiveHand {
  if (WORKER_PATH === undefined) return { ask: archiveSteps(), end: () => undefined };
  return keptThread<ArchiveStep, StepDone>(WORKER_PATH);
}
