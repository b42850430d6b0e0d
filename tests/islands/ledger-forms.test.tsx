import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { LedgerForms } from "@/islands/frame/LedgerForms";
import { $job } from "@/islands/state/job";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

function open(form: string) {
  const job = jobOf("universal");
  const bodies = posted(job);
  render(<LedgerForms job={job} shop={SHOP} stage="measure" />);
  fireEvent.click(screen.getByRole("button", { name: form }));
  return bodies;
}
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.unstubAllGlobals();
});

describe("the small forms under every job", () => {
  it.each<[string, Record<string, string>, string, object]>([
    ["Note", { Note: "Damp inside." }, "note", { text: "Damp inside." }],
    [
      "Ask owner",
      { "What to ask the owner": "Fit a motor for 95?", "It was": "no", By: "message" },
      "owner-answer",
      { question: "Fit a motor for 95?", answer: "no", means: "message" },
    ],
    [
      "Look again",
      { "What to look at again": "Start it cold", Day: "2027-01-05", "Only when": "below 4 °C" },
      "follow-up",
      { about: "look-again", what: "Start it cold", onDay: "2027-01-05", condition: "below 4 °C" },
    ],
    ["Timer", { Minutes: "2" }, "timer-started", { what: "cool-down", seconds: 120 }],
  ])("%s is kept as the shop's computer takes it", async (form, typed, kind, wanted) => {
    const bodies = open(form);
    for (const [label, value] of Object.entries(typed)) fill(label, value);
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await vi.waitFor(() => expect(payloads(bodies, kind)).toHaveLength(1));
    expect(payloads(bodies, kind)[0]).toMatchObject(wanted);
  });

  it("n opens a note, but not while something is typed", () => {
    render(<LedgerForms job={jobOf("universal")} shop={SHOP} stage="measure" />);
    fireEvent.keyDown(document.body, { key: "n" });
    expect(document.activeElement).toBe(screen.getByLabelText("Note"));
  });
});
