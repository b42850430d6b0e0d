import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { NotCovered } from "@/islands/engine/NotCovered";
import { Conflict } from "@/islands/isolate/Conflict";
import { Kinds } from "@/islands/isolate/Kinds";
import { MindChangers } from "@/islands/isolate/MindChangers";
import { PowerPath } from "@/islands/isolate/PowerPath";
import { Standpoints } from "@/islands/isolate/Standpoints";
import { StopCall, Suspects } from "@/islands/isolate/Suspects";
import { Counts } from "@/islands/set-up/Counts";
import { KNOWLEDGE } from "../core/shop-context";
import { answer, isolationOf, jobOf, posted, SHOP } from "./job-fixture";

const HUMS = [answer("owner-report", "hums-still"), answer("turn-shaft", "free")];
const CONTRARY = [
  answer("pair-ohms", "run-open"),
  answer("switch-on", "runs"),
  answer("clamp-current", "normal"),
  answer("push-start", "runs"),
];

beforeEach(() => localStorage.setItem("good-spindle:bench-name", "left bench"));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("suspects", () => {
  const shown = (lines = HUMS, station?: string) => {
    const job = jobOf("capacitor-start", lines);
    const isolation = isolationOf(job);
    render(<Suspects isolation={isolation} knowledge={KNOWLEDGE} job={job} shop={SHOP} station={station} />);
    return isolation;
  };

  it("stand likeliest first, in coarse steps, with what speaks for them and what cures the first", () => {
    shown();
    const rows = screen.getAllByTestId("suspect");
    expect(rows[0]?.textContent).toMatch(/^Start capacitor weak\s*about \d+ %/);
    expect(rows[0]?.textContent).toContain("Forwhat the owner says it does: Hums, does not turn");
    expect(rows[0]?.textContent).toContain("Cure fit a start capacitor, 12 min");
    expect(rows[1]?.textContent).not.toContain("Cure");
    expect(rows.at(-1)?.textContent).toContain("Other faults together");
  });

  it("a ladder is said where the usual cure may not hold", () => {
    shown([answer("start-switch-ohms", "open")]);
    expect(screen.getAllByTestId("suspect")[0]?.textContent).toContain(
      "if that does not hold: fit a motor, 60 min",
    );
  });

  it("faults that nothing parts share a row", () => {
    shown([answer("owner-report", "slow"), answer("turn-load", "stiff")]);
    const labels = ["load-stiff", "brake-drags"].map(
      (id) => KNOWLEDGE.faults.find((fault) => fault.id === id)?.label.slice(1) ?? "",
    );
    const rows = screen.getAllByTestId("suspect").map((row) => row.textContent ?? "");
    const shared = rows.filter((row) => labels.some((label) => row.includes(label)));
    expect(shared).toHaveLength(1);
    for (const label of labels) expect(shared[0]).toContain(label);
  });

  it("a chosen station narrows them to its own", () => {
    shown(HUMS, "bearings");
    const names = screen.getAllByTestId("suspect").map((row) => row.textContent ?? "");
    expect(names.some((name) => name.includes("Start capacitor"))).toBe(false);
    expect(names.some((name) => name.includes("Bearing"))).toBe(true);
  });

  it("no answer of one line stands both for and against a suspect", () => {
    const job = jobOf("capacitor-start", HUMS);
    for (const suspect of isolationOf(job).suspects) {
      const against = new Set(suspect.against.map(({ seq }) => seq));
      expect(suspect.for.some(({ seq }) => against.has(seq))).toBe(false);
    }
  });
});

describe("the power path", () => {
  it("says each station with its chance, and which line proved it good", () => {
    const { stations } = isolationOf(jobOf("capacitor-start", [...HUMS, answer("overload-ohms", "closed")]));
    const choose = vi.fn();
    render(
      <PowerPath shares={stations} stations={KNOWLEDGE.stations} chosen={undefined} onChoose={choose} />,
    );
    const words = screen.getByRole("img").getAttribute("aria-label") ?? "";
    expect(words).toMatch(/Start circuit: about \d+ %/);
    expect(words).toContain("Protection: unlikely, proved good by line 4");
    fireEvent.click(screen.getByRole("button", { name: "Bearings" }));
    expect(choose).toHaveBeenCalledWith("bearings");
  });
});

describe("the call to stop", () => {
  it("has both figures while a move is worth its price, and none of it afterwards", () => {
    const isolation = isolationOf(jobOf("capacitor-start", HUMS));
    const { rerender } = render(<StopCall isolation={isolation} knowledge={KNOWLEDGE} shop={SHOP} />);
    expect(screen.getByTestId("stop-call").textContent).toMatch(
      /Try repairs now: €[\d.]+ on average.*next move first: €[\d.]+/,
    );
    expect(screen.getByTestId("stop-call").textContent).toContain("don't order expensive parts yet");
    rerender(
      <StopCall
        isolation={{ ...isolation, moves: [], purchaseGate: { open: true, needs: [] } }}
        knowledge={KNOWLEDGE}
        shop={SHOP}
      />,
    );
    expect(screen.getByTestId("stop-call").textContent).toContain(
      "No move left is worth its price. Fit a start capacitor",
    );
    expect(screen.getByTestId("stop-call").textContent).not.toContain("don't order expensive parts yet");
  });
});

describe("what would change the lead", () => {
  it("names answers after which another suspect would lead, and no other", () => {
    const isolation = isolationOf(jobOf("capacitor-start", HUMS));
    render(<MindChangers isolation={isolation} knowledge={KNOWLEDGE} />);
    const rows = within(screen.getByRole("region", { name: "What would change this" })).getAllByRole(
      "listitem",
    );
    expect(rows.length).toBeGreaterThan(0);
    for (const row of rows) expect(row.textContent).not.toContain("then start capacitor weak");
  });

  it("is silent when nothing would", () => {
    const isolation = { ...isolationOf(jobOf("capacitor-start", HUMS)), moves: [] };
    const { container } = render(<MindChangers isolation={isolation} knowledge={KNOWLEDGE} />);
    expect(container.textContent).toBe("");
  });
});

describe("how suspicion moved", () => {
  it("has a step for each line in its own words", () => {
    const job = jobOf("capacitor-start", HUMS);
    render(<Standpoints history={isolationOf(job).history} job={job} knowledge={KNOWLEDGE} shop={SHOP} />);
    const steps = within(screen.getByTestId("history")).getAllByRole("listitem");
    expect(steps[0]?.textContent).toContain("Before anything was known");
    expect(screen.getByTestId("history").textContent).toContain("Turn the shaft by hand: Turns freely");
  });
});

describe("a contradiction", () => {
  const shown = (lines = CONTRARY) => {
    const job = jobOf("capacitor-start", lines);
    const onAsk = vi.fn();
    const bodies = posted(job);
    render(
      <Conflict
        conflict={isolationOf(job).conflicts[0]}
        job={job}
        knowledge={KNOWLEDGE}
        shop={SHOP}
        onAsk={onAsk}
      />,
    );
    return { onAsk, bodies };
  };

  it("says which two cannot both be, and that every set of faults was tried", () => {
    shown();
    expect(screen.getByTestId("conflict").textContent).toMatch(
      /line 2, ohms of each pair of motor leads: .*cannot both be so/,
    );
    expect(screen.getByTestId("conflict").textContent).toMatch(/all [\d,]+ sets of faults/);
  }, 20_000);

  it("asking again takes the line back, then opens its move", async () => {
    const { onAsk, bodies } = shown();
    fireEvent.click(screen.getByRole("button", { name: "ask again: ohms of each pair of motor leads" }));
    await vi.waitFor(() => expect(onAsk).toHaveBeenCalledWith("pair-ohms"));
    expect(bodies[0]).toMatchObject({
      kind: "struck",
      payload: { seq: 2, why: "", reason: "asked-again" },
    });
  });

  it("is not there when the answers fit", () => {
    shown(HUMS);
    expect(screen.queryByTestId("conflict")).toBeNull();
  });
});

describe("the kind of motor", () => {
  const shown = (lines = HUMS) => {
    const job = jobOf("not-known", lines);
    const bodies = posted(job);
    render(<Kinds kinds={isolationOf(job).kinds} job={job} shop={SHOP} />);
    return bodies;
  };

  it("is said as not settled, the likeliest first, with the clue to each", () => {
    shown();
    const region = screen.getByRole("region", { name: "Kind of motor" });
    expect(region.textContent).toContain("no live move before it is");
    expect(region.textContent).toContain("One film capacitor that stays in circuit");
    expect(within(region).getByRole("button", { name: /^Sealed compressor/ })).toBeTruthy();
  });

  it("is offered as settled once a clue has said enough, and one tap keeps it", async () => {
    const bodies = shown([answer("clue-rings", "rings"), answer("clue-hump", "none")]);
    expect(screen.getByRole("region").textContent).toContain("Most likely shaded pole");
    fireEvent.click(screen.getByRole("button", { name: /^Shaded pole/ }));
    await vi.waitFor(() => expect(bodies).toHaveLength(1));
    expect(bodies[0]).toMatchObject({
      kind: "taken-in",
      payload: { machine: "Wool carder", family: "shaded-pole", place: "left bench" },
    });
  });

  it("of a family that is only recognised: what can be done and what is passed on", () => {
    render(<NotCovered job={jobOf("sealed-compressor")} shop={SHOP} issues={[]} />);
    expect(screen.getByRole("heading", { level: 1 }).textContent).toContain("Sealed compressor");
    expect(screen.getByRole("region", { name: "Passed on" }).textContent).toContain("never opened");
  });

  it("anything else that cannot be worked out says why and keeps the ways on", () => {
    const why = { path: "evidence", code: "isolation/no-such-move", message: "There is no move." };
    render(<NotCovered job={jobOf("universal")} shop={SHOP} issues={[why]} />);
    expect(screen.getByText("There is no move.")).toBeTruthy();
    expect(screen.getByRole("link", { name: "Change the kind of motor" }).getAttribute("href")).toBe(
      "/jobs/118/take-in",
    );
  });
});

describe("learning from closed jobs", () => {
  it("shows what counts, and is a choice", () => {
    const onChange = vi.fn();
    const counts = {
      jobs: [{ family: "universal", count: 1.5 }],
      faults: [{ family: "universal", fault: "brushes-worn", count: 1.5 }],
      answers: [],
    };
    const { rerender } = render(
      <Counts counts={counts} names={KNOWLEDGE} isOn={false} onChange={onChange} />,
    );
    expect(screen.getByText("1.5 jobs count so far")).toBeTruthy();
    expect(screen.getByText("Brushes worn", { exact: false })).toBeTruthy();
    fireEvent.click(screen.getByRole("checkbox"));
    expect(onChange).toHaveBeenCalledWith(true);
    rerender(
      <Counts counts={{ jobs: [], faults: [], answers: [] }} names={KNOWLEDGE} isOn onChange={onChange} />,
    );
    expect(screen.getByText("No closed job has shown its fault yet.")).toBeTruthy();
  });
});
