import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { KeyMap } from "@/islands/frame/KeyMap";
import { onKey } from "@/islands/frame/keys";
import { Timers } from "@/islands/frame/Timers";
import { $job } from "@/islands/state/job";
import { $changes, $lastKept, tellTabs } from "@/islands/state/tabs";
import { undoLast } from "@/islands/state/undo";
import { jobOf, payloads, posted } from "./job-fixture";

const at = (seconds: number): string => new Date(Date.now() + seconds * 1000).toISOString();
const timer = (change: object) => ({
  jobId: 118,
  seq: 4,
  machine: "Wool carder",
  what: "drain",
  endsAt: at(-5),
  ...change,
});

function withTimers(...timers: object[]): void {
  vi.stubGlobal("fetch", async () => Response.json({ timers }));
}

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  $job.set(null);
  $lastKept.set(null);
  vi.unstubAllGlobals();
});

describe("timers", () => {
  it("one that ran out rings on any screen until it is heard here, also after a reload", async () => {
    withTimers(timer({}));
    render(<Timers />);
    expect((await screen.findByTestId("ringing")).textContent).toContain(
      "Drained long enough: read the volts: Wool carder, job 118",
    );
    fireEvent.click(screen.getByRole("button", { name: "Heard" }));
    expect(screen.queryByTestId("ringing")).toBeNull();
    cleanup();
    render(<Timers />);
    await act(() => new Promise((resolve) => setTimeout(resolve, 400)));
    expect(screen.queryByTestId("ringing")).toBeNull();
  });

  it("one that runs says how long, and another change asks for them again", async () => {
    withTimers(timer({ endsAt: at(125), what: "cool-down" }));
    render(<Timers />);
    expect((await screen.findByTestId("timers")).textContent).toMatch(/2:0\d Wool carder, job 118, cooling/);
    withTimers();
    act(() => tellTabs({ jobId: 118, seq: 9 }));
    await vi.waitFor(() => expect(screen.queryByTestId("timers")).toBeNull());
  });

  it("invites no hands: a warm run that is over says only that", async () => {
    withTimers(timer({ what: "warm-run" }));
    render(<Timers />);
    expect((await screen.findByTestId("ringing")).textContent).toContain("Run long enough");
  });
});

describe("undo", () => {
  it("strikes out what this page kept last, once", async () => {
    const bodies = posted(jobOf("universal", [["note", { text: "x" }]]));
    $lastKept.set({ jobId: 118, seq: 2 });
    expect(await undoLast(118, "measure")).toBeUndefined();
    expect(payloads(bodies, "struck")).toEqual([{ seq: 2, why: "", reason: "slip" }]);
    await undoLast(118, "measure");
    expect(bodies).toHaveLength(1);
  });

  it("says why not, and keeps what could be undone", async () => {
    $job.set(jobOf("universal"));
    $lastKept.set({ jobId: 118, seq: 2 });
    vi.stubGlobal("fetch", async () =>
      Response.json(
        { issues: [{ path: "", code: "guard/stands-under", message: "Line 2 stands." }] },
        { status: 422 },
      ),
    );
    expect(await undoLast(118, "measure")).toBe("Line 2 stands.");
    expect($lastKept.get()?.seq).toBe(2);
  });
});

describe("keys", () => {
  it("are commands outside fields and letters inside them", () => {
    const heard: string[] = [];
    const stop = onKey("u", () => heard.push("u"));
    render(<input aria-label="Note" />);
    fireEvent.keyDown(screen.getByLabelText("Note"), { key: "u" });
    fireEvent.keyDown(document.body, { key: "u", ctrlKey: true });
    expect(heard).toEqual([]);
    fireEvent.keyDown(document.body, { key: "u" });
    expect(heard).toEqual(["u"]);
    stop();
    fireEvent.keyDown(document.body, { key: "u" });
    expect(heard).toHaveLength(1);
  });

  it("a letter is a unit, and no command, while a figure is expected", () => {
    const heard: string[] = [];
    const stops = ["u", "/"].map((key) => onKey(key, () => heard.push(key)));
    render(<input data-figures="" aria-label="Reading" />);
    for (const key of ["u", "/"]) fireEvent.keyDown(document.body, { key });
    expect(heard).toEqual(["/"]);
    for (const stop of stops) stop();
  });

  it("are listed by ?, those of a job only within one", () => {
    const opened = vi.fn();
    HTMLDialogElement.prototype.showModal = opened;
    const { rerender } = render(<KeyMap />);
    fireEvent.keyDown(document.body, { key: "?" });
    expect(opened).toHaveBeenCalledOnce();
    expect(screen.queryByText("Undo, while it is offered")).toBeNull();
    rerender(<KeyMap jobId={118} />);
    expect(screen.getByText("Undo, while it is offered")).toBeTruthy();
  });

  it("a change told to the tabs is counted here too", () => {
    const before = $changes.get().count;
    tellTabs({ jobId: 1, seq: 2 });
    expect($changes.get()).toEqual({ count: before + 1, jobId: 1 });
  });
});
