import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { useJobScreen } from "@/islands/frame/use-job-screen";
import { NextMove } from "@/islands/isolate/NextMove";
import { $watches } from "@/islands/state/watch";
import { check, type Line, OUT } from "../core/job/entries";
import { KNOWLEDGE } from "../core/shop-context";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

const CHECKED: readonly Line[] = ["look-and-cord", "earth-continuity", "insulation"].map((id) => [
  "reading",
  check(id),
]);
const PLUGGED: Line = ["bench-state", { event: "plugged-in", outlet: "residual-current" }];

beforeEach(() => localStorage.setItem("good-spindle:bench-name", "left bench"));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

interface CardProps {
  readonly job: JobView;
  readonly move: Move;
  readonly shop: Shop;
}

function Card({ job, move, shop }: CardProps) {
  const jobScreen = useJobScreen(job, shop);
  return (
    <NextMove
      screen={jobScreen}
      shop={shop}
      knowledge={KNOWLEDGE}
      move={move}
      rated={undefined}
      isRaised={false}
      isOwnChoice={false}
      first={undefined}
      before={undefined}
      onStay={() => undefined}
    />
  );
}

/** The card of one move on a split-phase machine with these lines, its plug as this screen settled it. */
function show(moveId: string, lines: readonly Line[], change: Partial<TakenIn> = {}) {
  const job = jobOf("split-phase", lines, {
    machine: "Apple press",
    hasNone: ["springs-or-weight", "blades-or-rollers", "heat-or-pressure"],
    ...change,
  });
  const bodies = posted(job);
  const now = new Date().toISOString();
  $watches.set({ "118": { settledSeq: 99, touchedAt: now } });
  const move = KNOWLEDGE.moves.find(({ id }) => id === moveId);
  if (!move) throw new Error(`there is no move ${moveId}`);
  render(<Card job={job} move={move} shop={{ ...SHOP, now }} />);
  return bodies;
}

const way = (): string => screen.queryByTestId("make-ready")?.textContent ?? "";

describe("a move that the machine is not ready for", () => {
  it("is not shown as something to do: the way to it is the headline, the move stands below", () => {
    show("turn-shaft", [], { hazards: ["blades"] });
    expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("First: is the plug out?");
    expect(way()).toContain("Then: block the blades.");
    expect(screen.queryByText("Turns freely")).toBeNull();
    expect(screen.getByRole("heading", { level: 3 }).textContent).toBe("Turn the shaft by hand");
  });

  it("known to be plugged in: says to pull it, and does not offer what is known", () => {
    show("turn-shaft", [PLUGGED]);
    expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("First: pull the plug");
    expect(screen.getByRole("button", { name: "Out, plug in sight" })).toBeTruthy();
    expect(screen.queryByRole("button", { name: "It is plugged in" })).toBeNull();
  });

  it("asks for the blades by one tap of its own", async () => {
    const bodies = show("turn-shaft", [["bench-state", OUT]], { hazards: ["blades"] });
    fireEvent.click(screen.getByRole("button", { name: "The blades are blocked" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "bench-state")).toEqual([{ event: "held", id: "blades", is: "held" }]),
    );
  });

  it.each<[string, readonly Line[], string, string]>([
    ["nothing checked", [], "No power before the dead checks.", "Go to Make safe"],
    [
      "a cover open",
      [...CHECKED, ["opened", { access: "hump", is: "none", taken: "afterwards" }], PLUGGED],
      "Covers on before power.",
      "Put back what is off",
    ],
    ["checked, plugged nowhere", CHECKED, "Plug it in behind the RCD (GFCI).", ""],
  ])("live, %s: says what is missing and how to get there", (_, lines, words, link) => {
    show("switch-on", lines);
    expect(way()).toContain(words);
    if (link) expect(screen.getByRole("link", { name: link })).toBeTruthy();
    else expect(screen.getByRole("button", { name: "Plugged in, hands off: green socket" })).toBeTruthy();
  });

  it("a name that is not known: each question is one tap that is kept with the machine, and only then the next gate", async () => {
    const bodies = show("turn-shaft", [["bench-state", OUT]], { hasNone: ["blades-or-rollers"] });
    expect(way()).toContain("“Apple press” is no machine that is known here");
    expect(screen.queryByRole("group", { name: "Blades or rollers?" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Heat, or pressure? Pressure" }));
    await vi.waitFor(() => expect(payloads(bodies, "taken-in")).toHaveLength(1));
    expect(payloads(bodies, "taken-in")[0]).toMatchObject({
      hazards: ["pressure"],
      hasNone: ["blades-or-rollers"],
    });
    fireEvent.click(screen.getByRole("button", { name: "A spring under load, or a lifted weight? Neither" }));
    await vi.waitFor(() => expect(payloads(bodies, "taken-in")).toHaveLength(2));
    expect(payloads(bodies, "taken-in")[1]).toMatchObject({
      hasNone: ["blades-or-rollers", "springs-or-weight"],
    });
  });

  it("what was done all the same is written down as what it was", async () => {
    const bodies = show("switch-on", []);
    fireEvent.click(screen.getByRole("button", { name: "It was done already: write it down" }));
    fireEvent.click(screen.getByRole("button", { name: /^Silent/ }));
    await vi.waitFor(() => expect(payloads(bodies, "answer")).toHaveLength(1));
    expect(payloads(bodies, "answer")[0]).toMatchObject({ outcomeId: "silent", taken: "afterwards" });
  });

  it("granted, its answers stand there, and what power must not do twice is one tap away", async () => {
    const bodies = show("switch-on", [...CHECKED, PLUGGED]);
    expect(way()).toBe("");
    fireEvent.click(screen.getByRole("button", { name: "It tripped, smoked, smelt or tingled" }));
    fireEvent.click(screen.getByRole("button", { name: "Smoke" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "bench-state")).toEqual([{ event: "incident", what: "smoke" }]),
    );
  });
});
