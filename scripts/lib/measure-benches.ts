import { keepNote, seqOf } from "./keep-note";
import { quantile, residentMegabytes } from "./measured";

const BENCHES = 5;
/** What one repairer does at one bench: a line kept, its job and the Bench looked at, then hands busy. */
const PAUSE_MS = 2_000;
const MINUTE_MS = 60_000;

interface Minute {
  readonly kept: number[];
  readonly pages: number[];
  memory: number;
  heard: number;
}

async function looked(address: string, path: string): Promise<number> {
  const began = performance.now();
  const answer = await fetch(address + path);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return performance.now() - began;
}

/** Counts the news that reach one screen. */
async function listen(address: string, signal: AbortSignal, heard: () => void): Promise<void> {
  const { body } = await fetch(`${address}/api/events`, { signal });
  const reader = body?.pipeThrough(new TextDecoderStream()).getReader();
  for (;;) {
    const part = await reader?.read().catch(() => undefined);
    if (!part || part.done) return;
    heard();
  }
}

const p50 = (times: number[]): string =>
  quantile(
    times.sort((one, other) => one - other),
    0.5,
  ).toFixed(0);

/** Five benches at once, each with its own job and an open line for news; minute by minute, so that a slope would show. */
export async function measureBenches(
  address: string,
  pid: number | undefined,
  minutes: number,
): Promise<void> {
  const began = Date.now();
  const until = began + minutes * MINUTE_MS;
  const each = Array.from({ length: minutes }, (): Minute => ({ kept: [], pages: [], memory: 0, heard: 0 }));
  const now = (): Minute =>
    each[Math.min(minutes - 1, Math.floor((Date.now() - began) / MINUTE_MS))] as Minute;
  const closed = new AbortController();
  const lines = Array.from({ length: BENCHES }, () =>
    listen(address, closed.signal, () => {
      now().heard += 1;
    }),
  );
  await Promise.all(
    Array.from({ length: BENCHES }, async (_, bench) => {
      const job = 101 + bench;
      let seq = await seqOf(address, job);
      while (Date.now() < until) {
        const kept = await keepNote(address, job, seq);
        seq = kept.seq;
        const minute = now();
        minute.kept.push(kept.ms);
        minute.pages.push(await looked(address, `/jobs/${job}/measure`), await looked(address, "/"));
        minute.memory = Math.max(minute.memory, residentMegabytes(pid));
        await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
      }
    }),
  );
  closed.abort();
  await Promise.allSettled(lines);
  console.log(`${BENCHES} benches for ${minutes} minutes:`);
  for (const [index, { kept, pages, memory, heard }] of each.entries())
    console.log(
      `  minute ${index + 1}: ${kept.length} lines kept, p50 ${p50(kept)} ms; pages p50 ${p50(pages)} ms; ${heard} news; ${memory} MB`,
    );
}
