import { randomUUID } from "node:crypto";

export async function seqOf(address: string, job: number): Promise<number> {
  const answer = (await (await fetch(`${address}/api/jobs/${job}`)).json()) as { readonly seq: number };
  return answer.seq;
}

/** Keeps one note and waits for the answer. @returns its line, and how long it took in ms */
export async function keepNote(
  address: string,
  job: number,
  seq: number,
): Promise<{ seq: number; ms: number }> {
  const started = performance.now();
  const answer = await fetch(`${address}/api/jobs/${job}/entries`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      entryId: randomUUID(),
      expectedSeq: seq,
      kind: "note",
      stage: "measure",
      by: "bench",
      payload: { text: `line ${seq + 1}` },
    }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return { seq: ((await answer.json()) as { seq: number }).seq, ms: performance.now() - started };
}
