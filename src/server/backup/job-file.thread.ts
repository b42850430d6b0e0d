// Files of jobs that somebody sends, away from the server's main thread. Adapter only: bytes in, one Result out.
import { answerAll } from "@/workers/answer-all";
import { readJobFile } from "./job-file";

export interface SentFile {
  readonly bytes: Uint8Array;
  readonly now: string;
}

answerAll(({ bytes, now }: SentFile) => readJobFile(bytes, now));
