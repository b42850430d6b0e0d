import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { MoveReading } from "@/islands/measure/MoveReading";
import { $job } from "@/islands/state/job";
import { CARDER, logOf, viewOf } from "../core/job/entries";
import { found } from "../tools/run-tool";

const INPUT = { first: "climbs", second: "climbs", steady: "OL" };
const JOB = viewOf(
  logOf(
    ["taken-in", CARDER],
    [
      "reading",
      {
        of: "tool",
        toolId: "ohms-ramp",
        moveId: "capacitor-ramp",
        input: INPUT,
        finding: found("ohms-ramp", INPUT),
        taken: "now",
        looseReadingId: null,
      },
    ],
  ),
);

/** What was posted, in order, to which address. */
function listen(): { readonly sent: { readonly url: string; readonly body: Record<string, unknown> }[] } {
  const sent: { url: string; body: Record<string, unknown> }[] = [];
  vi.stubGlobal("fetch", async (url: string, init?: RequestInit) => {
    if (init?.body) sent.push({ url: String(url), body: JSON.parse(String(init.body)) });
    return new Response(JSON.stringify({ ...JOB, seq: 7 }), {
      status: 200,
      headers: { "content-type": "application/json" },
    });
  });
  return { sent };
}

describe("a reading typed in the wrong job", () => {
  afterEach(() => {
    cleanup();
    $job.set(null);
    vi.unstubAllGlobals();
  });

  it("is kept in the other, which says where it came from, and struck out here, which says where it went", async () => {
    $job.set(JOB);
    const { sent } = listen();
    const [reading] = JOB.readings;
    if (!reading) throw new Error("no reading");
    render(<MoveReading job={JOB} reading={reading} />);
    fireEvent.click(screen.getByText("it belongs to another job"));
    fireEvent.change(screen.getByLabelText("Number of the job it belongs to"), { target: { value: "104" } });
    fireEvent.click(screen.getByText("Move it there"));
    await waitFor(() => expect(sent).toHaveLength(3));
    // The struck line has come back as the new state of this job.
    await waitFor(() => expect($job.get()?.seq).toBe(7));
    expect(sent.map(({ url }) => url.replace(/.*\/jobs/, "/jobs"))).toEqual([
      "/jobs/104/entries",
      "/jobs/104/entries",
      `/jobs/${JOB.jobId}/entries`,
    ]);
    expect(sent.map(({ body }) => body["kind"])).toEqual(["reading", "note", "struck"]);
    expect(JSON.stringify(sent[1]?.body)).toContain(`from job ${JOB.jobId}`);
    expect(JSON.stringify(sent[2]?.body)).toContain("belongs to job 104");
  });

  it("names a number that is none, and posts nothing", async () => {
    const { sent } = listen();
    const [reading] = JOB.readings;
    if (!reading) throw new Error("no reading");
    render(<MoveReading job={JOB} reading={reading} />);
    fireEvent.click(screen.getByText("it belongs to another job"));
    fireEvent.change(screen.getByLabelText("Number of the job it belongs to"), {
      target: { value: "carder" },
    });
    fireEvent.click(screen.getByText("Move it there"));
    expect(await screen.findByText(/"carder" is not the number of another job/)).toBeTruthy();
    expect(sent).toEqual([]);
  });
});
