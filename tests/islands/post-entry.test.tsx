import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { $job, setNewer } from "@/islands/state/job";
import { postEntry } from "@/islands/state/post-entry";
import { watchOf } from "@/islands/state/watch";

const VIEW = { jobId: 118, seq: 4 } as JobView;
const NOTE = { kind: "note", stage: "measure", payload: { text: "Damp inside." } } as const;

/** A server that keeps each entryId once, and whose answers can be lost on the way. */
function server(lost: number) {
  const kept = new Map<string, number>();
  const requests: { method: string; path: string; body?: Record<string, unknown> }[] = [];
  let answersLost = 0;
  vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
    const body = init.body ? JSON.parse(String(init.body)) : undefined;
    requests.push({ method: String(init.method), path, body });
    if (body && !kept.has(body.entryId)) kept.set(body.entryId, VIEW.seq + kept.size + 1);
    if (answersLost < lost) {
      answersLost += 1;
      throw new TypeError("network");
    }
    return Response.json({ ...VIEW, seq: kept.get(body?.entryId) });
  });
  return { kept, requests };
}

beforeEach(() => {
  $job.set(VIEW);
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => vi.unstubAllGlobals());

describe("posting an entry", () => {
  it("asks again with the same entryId when the answer is lost, and the entry is kept once", async () => {
    const { kept, requests } = server(2);
    const answer = await postEntry(118, NOTE);
    expect(answer.ok).toBe(true);
    expect(requests).toHaveLength(3);
    expect(new Set(requests.map(({ body }) => body?.["entryId"])).size).toBe(1);
    expect(kept.size).toBe(1);
    expect($job.get()?.seq).toBe(5);
  });

  it("gives up after three tries with a sentence, and the job on screen is as it was", async () => {
    server(99);
    const answer = await postEntry(118, NOTE);
    expect(answer.ok ? "" : answer.issues[0]?.message).toContain("What you typed is kept here");
    expect($job.get()).toBe(VIEW);
  });

  it("loads the newest state when the job went on meanwhile, and tells what changed", async () => {
    const paths: string[] = [];
    vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
      paths.push(`${init.method} ${path}`);
      if (init.method === "GET") return Response.json({ ...VIEW, seq: 7 });
      return Response.json(
        {
          issues: [
            { path: "expectedSeq", code: "stale/sequence", message: "Job 118 went on while you typed" },
          ],
        },
        { status: 409 },
      );
    });
    const answer = await postEntry(118, NOTE);
    expect(answer.ok).toBe(false);
    expect(paths).toEqual(["POST /api/jobs/118/entries", "GET /api/jobs/118"]);
    expect($job.get()?.seq).toBe(7);
  });

  it("two at once go one after the other: a quick hand does not overtake itself", async () => {
    const { requests } = server(0);
    const both = await Promise.all([postEntry(118, NOTE), postEntry(118, NOTE)]);
    expect(both.map(({ ok }) => ok)).toEqual([true, true]);
    expect(requests.map(({ body }) => body?.["expectedSeq"])).toEqual([4, 5]);
  });

  it("an answer that a newer one overtook changes nothing on the screen", () => {
    setNewer({ ...VIEW, seq: 9 });
    setNewer({ ...VIEW, seq: 8 });
    expect($job.get()?.seq).toBe(9);
    setNewer({ ...VIEW, jobId: 119, seq: 1 });
    expect($job.get()?.jobId).toBe(119);
  });

  it("only a word about the plug settles the plug for this tab", async () => {
    server(0);
    await postEntry(118, NOTE);
    expect(watchOf(118)).toBeUndefined();
    const { requests } = server(0);
    await postEntry(118, {
      kind: "bench-state",
      stage: "make-safe",
      payload: { event: "unplugged", evidence: "plug-in-sight" },
    });
    expect(watchOf(118)).toMatchObject({ settledSeq: 5 });
    expect(requests[0]?.body).toMatchObject({ by: "left bench", kind: "bench-state" });
  });
});
