import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { EMPTY_OWNER_FACTS } from "@/core/job/log/empty-facts";
import { Clock } from "@/islands/frame/Clock";
import { OwnerCard } from "@/islands/frame/OwnerCard";
import { Orders } from "@/islands/match/Orders";
import { $job } from "@/islands/state/job";
import type { Line } from "../core/job/entries";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const said = (answer: "asked" | "no"): Line => [
  "owner-answer",
  { ...EMPTY_OWNER_FACTS, question: "May we go to 95?", answer, means: "telephone", priceMinor: 9500 },
];

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("the owner's card", () => {
  it("is not there while nothing is between shop and owner", () => {
    render(<OwnerCard job={jobOf("universal")} shop={SHOP} stage="decide" />);
    expect(screen.queryByTestId("owner-card")).toBeNull();
  });

  it("keeps the answer with the price that was asked, and the words as they are typed", async () => {
    const job = jobOf("universal", [said("asked")]);
    const bodies = posted(job);
    const { unmount } = render(<OwnerCard job={job} shop={SHOP} stage="decide" />);
    expect(screen.getByTestId("owner-card").textContent).toContain("€95.00");
    type("In their words", "too dear");
    unmount();
    render(<OwnerCard job={job} shop={SHOP} stage="measure" />);
    tap("Said no");
    await vi.waitFor(() => expect(payloads(bodies, "owner-answer")).toHaveLength(1));
    expect(payloads(bodies, "owner-answer")[0]).toEqual({
      question: "May we go to 95?",
      answer: "no",
      means: "telephone",
      priceMinor: 9500,
      words: "too dear",
    });
  });

  it("after a no every way on is one tap; holding takes its day along", async () => {
    const job = jobOf("universal", [said("no")]);
    const bodies = posted(job);
    render(<OwnerCard job={job} shop={SHOP} stage="decide" />);
    for (const way of ["A cheaper way", "Scrap it here", "Keep it for parts"])
      expect(screen.getByRole("button", { name: way })).toBeTruthy();
    type("Hold until", "2027-01-05");
    tap("Hold it");
    await vi.waitFor(() => expect(payloads(bodies, "owner-answer")).toHaveLength(1));
    expect(payloads(bodies, "owner-answer")[0]).toMatchObject({ leadsTo: "hold", byDay: "2027-01-05" });
  });
});

describe("parts on order", () => {
  it("are ordered with their day, and arrive by one tap", async () => {
    const ordered: Line = [
      "order-linked",
      { part: "Belt 5 mm", state: "ordered", from: "harbour store", expectedOn: "2026-12-02" },
    ];
    const job = jobOf("universal", [ordered]);
    const bodies = posted(job);
    render(<Orders job={job} shop={SHOP} />);
    type("Part to order", "Brush pair");
    type("Expected on", "2026-12-04");
    tap("It is ordered");
    await vi.waitFor(() => expect(payloads(bodies, "order-linked")).toHaveLength(1));
    expect(payloads(bodies, "order-linked")[0]).toEqual({
      part: "Brush pair",
      state: "ordered",
      from: "",
      expectedOn: "2026-12-04",
    });
    tap("It has arrived");
    await vi.waitFor(() => expect(payloads(bodies, "order-linked")).toHaveLength(2));
    expect(payloads(bodies, "order-linked")[1]).toMatchObject({ part: "Belt 5 mm", state: "arrived" });
  });
});

describe("the minutes at the bench", () => {
  it("are counted while somebody works, stop by a tap, and are handed in once for two windows", async () => {
    vi.useFakeTimers({ toFake: ["setInterval", "clearInterval", "performance"] });
    const focus = vi.spyOn(document, "hasFocus").mockReturnValue(false);
    const job = jobOf("universal");
    const bodies = posted(job);
    render(
      <>
        <Clock job={job} stage="measure" />
        <Clock job={job} stage="measure" />
      </>,
    );
    act(() => void vi.advanceTimersByTime(120_000));
    expect(screen.getAllByTestId("clock")[0]?.textContent, "nobody is here").toContain("0 min");
    focus.mockReturnValue(true);
    act(() => void vi.advanceTimersByTime(61_000));
    for (const clock of screen.getAllByTestId("clock")) fireEvent.click(clock);
    await vi.waitFor(() => expect(payloads(bodies, "time-spent")).toHaveLength(1));
    await new Promise((resolve) => setTimeout(resolve, 50));
    const handed = payloads(bodies, "time-spent") as { seconds: number; how: string }[];
    expect(handed.map(({ how }) => how)).toEqual(["counted"]);
    expect(handed[0]?.seconds).toBeGreaterThanOrEqual(61);
    act(() => void vi.advanceTimersByTime(600_000));
    expect(payloads(bodies, "time-spent"), "stopped").toHaveLength(1);
    focus.mockRestore();
  });
});
