import type { Result } from "@/core/result";
import { type JobFile, readJobFile } from "@/server/backup/job-file";
import type { SentFile } from "@/server/backup/job-file.thread";
import { builtWorker } from "@/server/threads/built-worker";
import { keptThread } from "@/server/threads/kept-thread";

const WORKER_PATH = builtWorker("job-files");

const thread = WORKER_PATH === undefined ? undefined : keptThread<SentFile, Result<JobFile>>(WORKER_PATH);

/** What a file of a job holds, from a thread of its own: unpacking and reading one takes seconds. */
export function jobFileOffThread(bytes: Uint8Array, now: string): Promise<Result<JobFile>> {
  return thread === undefined ? readJobFile(bytes, now) : thread.ask({ bytes, now });
}
