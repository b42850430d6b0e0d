import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ListedJob } from "@/core/job/job-list";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import { JobsScreen } from "@/islands/jobs/JobsScreen";

const FAMILIES = [
  { id: "universal", label: "Universal, brushed" },
  { id: "capacitor-start", label: "Capacitor start" },
];
const listed = (jobId: number, change: Partial<ListedJob> = {}): ListedJob => ({
  jobId,
  machine: "Wool carder",
  family: "capacitor-start",
  place: "left bench",
  ownerId: jobId,
  ownerName: "Tansy Weavers",
  takenInAt: "2026-11-20T09:00:00.000Z",
  touchedAt: `2026-11-2${jobId % 10}T09:00:00.000Z`,
  step: { band: "now", stage: "isolate", code: "now/isolate", params: {} },
  word: null,
  ...change,
});
const LATE = listed(3, {
  machine: "Hedge trimmer",
  family: "universal",
  ownerName: "יעל כהן",
  step: { band: "due", stage: "sign-off", code: "due/later", params: { what: "Look" }, until: "2026-01-02" },
});
const LEFT = listed(4, {
  machine: "M".repeat(300),
  place: "shelf 1",
  step: { band: "gone", stage: "sign-off", code: "gone", params: { word: "repaired" }, until: "2026-01-02" },
});

function shown(jobs: readonly ListedJob[]): void {
  vi.stubGlobal("fetch", async (path: string) =>
    path.startsWith("/api/timers")
      ? Response.json({ timers: [] })
      : Response.json({ jobs, all: jobs.length, next: null }),
  );
  render(<JobsScreen settings={DEFAULT_SETTINGS} families={FAMILIES} />);
}
const lines = (): (string | null)[] =>
  screen
    .queryAllByRole("link")
    .filter((link) => link.getAttribute("href")?.startsWith("/jobs/"))
    .map((link) => link.textContent)
    .filter((text) => /^\d/.test(text ?? ""));

beforeEach(() => {
  localStorage.clear();
  // Rows are drawn as far as the window reaches: here it reaches all of them.
  vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(76);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

describe("all jobs", () => {
  it("stand last touched first, an overdue one says so, one that has left does not", async () => {
    shown([listed(1), listed(2), LATE, LEFT]);
    await waitFor(() => expect(lines()).toHaveLength(4));
    expect(lines().map((text) => text?.charAt(0))).toEqual(["4", "3", "2", "1"]);
    expect(lines().map((text) => text?.includes("Overdue"))).toEqual([false, true, false, false]);
  });

  it("are found by any of their words, by kind, state and place; what matches nothing says so", async () => {
    shown([listed(1), listed(2), LATE, LEFT]);
    await waitFor(() => expect(lines()).toHaveLength(4));
    const search = screen.getByLabelText("Find a job");
    fireEvent.change(search, { target: { value: "trimmer כהן" } });
    await waitFor(() => expect(lines()).toHaveLength(1));
    fireEvent.change(search, { target: { value: "no such thing" } });
    await waitFor(() => expect(lines()).toHaveLength(0));
    expect(screen.getByRole("main").textContent).toMatch(/Nothing|No job|None/);
    fireEvent.change(search, { target: { value: "" } });
    fireEvent.change(screen.getByLabelText("State"), { target: { value: "gone" } });
    await waitFor(() => expect(lines()).toHaveLength(1));
    expect(lines()[0]).toContain("MMMM");
  });
});
