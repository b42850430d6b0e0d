import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { $job } from "@/islands/state/job";
import { loadJob, postEntry, wasPostedHere } from "@/islands/state/post-entry";
import { dropWatch, settlePlug, watchOf } from "@/islands/state/watch";

const JOB = 240;
const at = (seq: number) => ({ jobId: JOB, seq }) as JobView;
const NOTE = { kind: "note", stage: "measure", payload: { text: "x" } } as const;

/** The shop's computer answers every request with the job at this line. */
const standsAt = (seq: number): void => {
  vi.stubGlobal("fetch", async () => Response.json(at(seq)));
};

beforeEach(() => {
  $job.set(at(4));
  settlePlug(JOB, 4);
});
afterEach(() => {
  vi.unstubAllGlobals();
  dropWatch(JOB);
});

describe("what a tab knows of a plug", () => {
  it("is kept over its own lines", async () => {
    standsAt(5);
    await postEntry(JOB, NOTE);
    expect(watchOf(JOB)?.settledSeq).toBe(4);
    expect(await wasPostedHere({ jobId: JOB, seq: 5 })).toBe(true);
    expect(await wasPostedHere({ jobId: JOB, seq: 6 })).toBe(false);
  });

  it("is kept where the job is loaded again as it was", async () => {
    standsAt(4);
    await loadJob(JOB);
    expect(watchOf(JOB)).toBeDefined();
  });

  it("is lost where the job went on unheard, under whatever name", async () => {
    standsAt(9);
    await loadJob(JOB);
    expect(watchOf(JOB)).toBeUndefined();
  });

  it("is lost where somebody else's line lies before its own", async () => {
    $job.set(at(9));
    standsAt(11);
    await postEntry(JOB, NOTE);
    expect(watchOf(JOB)).toBeUndefined();
  });

  it("is settled anew by a line that says where the plug is", async () => {
    $job.set(at(11));
    standsAt(13);
    const payload = { event: "unplugged", evidence: "plug-in-sight" };
    await postEntry(JOB, { kind: "bench-state", stage: "make-safe", payload });
    expect(watchOf(JOB)?.settledSeq).toBe(13);
  });
});
