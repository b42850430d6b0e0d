import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { JobView } from "@/core/job/log/view";
import type { Move } from "@/core/knowledge/types";
import { useJobScreen } from "@/islands/frame/use-job-screen";
import { BeforeOrder } from "@/islands/isolate/BeforeOrder";
import { Care } from "@/islands/isolate/Care";
import { MadeGood } from "@/islands/isolate/MadeGood";
import { SaysNothing } from "@/islands/isolate/SaysNothing";
import { WhileOpen } from "@/islands/isolate/WhileOpen";
import { $job } from "@/islands/state/job";
import { KNOWLEDGE } from "../core/shop-context";
import { answer, isolationOf, jobOf, payloads, posted, SHOP } from "./job-fixture";

const moveOf = (moveId: string): Move => {
  const move = KNOWLEDGE.moves.find(({ id }) => id === moveId);
  if (!move) throw new Error(`there is no move ${moveId}`);
  return move;
};
const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));

beforeEach(() => localStorage.setItem("good-spindle:bench-name", "left bench"));
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.unstubAllGlobals();
});

describe("a move that says nothing", () => {
  const shown = (moveId: string, job = jobOf("capacitor-start"), isReady = true) => {
    const bodies = posted(job);
    render(
      <SaysNothing
        job={job}
        move={moveOf(moveId)}
        knowledge={KNOWLEDGE}
        isReady={isReady}
        onNotSure={() => undefined}
      />,
    );
    return bodies;
  };

  it("asks why it could not be done, as far as that can be true of it", async () => {
    const bodies = shown("insulation");
    tap("Could not …");
    expect(screen.queryByRole("button", { name: "No power for it here" })).toBeNull();
    tap("No instrument for it here");
    await vi.waitFor(() =>
      expect(payloads(bodies, "answer")).toEqual([
        {
          moveId: "insulation",
          outcomeId: "could-not",
          why: "no-instrument",
          circumstance: "cold",
          taken: "now",
        },
      ]),
    );
  });

  it("names the part that the machine may not have, and keeps that there is none", async () => {
    const bodies = shown("fuse-ohms");
    tap("It has no fuse");
    await vi.waitFor(() => expect(payloads(bodies, "answer")[0]).toMatchObject({ why: "none-here" }));
  });

  it("offers no such thing of what every motor has, or of what was found there", () => {
    shown("turn-shaft");
    expect(screen.queryByRole("button", { name: /^It has no/ })).toBeNull();
    cleanup();
    shown("look-coupling", jobOf("capacitor-start", [answer("belt-look", "good")]));
    expect(screen.queryByRole("button", { name: /^It has no/ })).toBeNull();
  });

  it("opens the kind again for a motor without its capacitor, as a look made as the bench stands", async () => {
    const bodies = shown("start-capacitance", jobOf("capacitor-start"), false);
    tap("It has no capacitor: another kind of motor");
    await vi.waitFor(() => expect(bodies).toHaveLength(2));
    expect(payloads(bodies, "answer")[0]).toMatchObject({
      moveId: "clue-hump",
      outcomeId: "none",
      taken: "afterwards",
    });
    expect(payloads(bodies, "taken-in")[0]).toMatchObject({ family: "not-known" });
  });
});

describe("how a reading is taken", () => {
  it("says where the probes go and what to expect, by kind of motor and by this machine's mark", () => {
    const noted = ["nameplate", { plate: "capacitor", id: "start", mark: "124-149 µF 250 V" }] as const;
    const job = jobOf("capacitor-start", [noted]);
    render(<Care job={job} move={moveOf("start-capacitance")} shop={SHOP} knowledge={KNOWLEDGE} />);
    const words = screen.getByTestId("metering").textContent;
    expect(words).toContain("Across its terminals");
    expect(words).toContain("Its mark: 124-149 µF 250 V.");
    cleanup();
    render(<Care job={job} move={moveOf("pair-ohms")} shop={SHOP} knowledge={KNOWLEDGE} />);
    expect(screen.getByTestId("metering").textContent).toContain("Main winding 1–5 Ω");
  });

  it("says what to borrow, only to a shop that said what it has", () => {
    const shopWith = (kit: string[]) => ({ ...SHOP, settings: { ...SHOP.settings, kit } });
    const shown = (kit: string[]) =>
      render(
        <Care
          job={jobOf("capacitor-start")}
          move={moveOf("insulation")}
          shop={shopWith(kit)}
          knowledge={KNOWLEDGE}
        />,
      ).container.textContent;
    expect(shown(["clamp-meter"])).toContain("Borrow one");
    cleanup();
    expect(shown([])).not.toContain("Borrow one");
    cleanup();
    expect(shown(["insulation-tester"])).not.toContain("Needs:");
  });
});

function Good({ job }: { readonly job: JobView }) {
  return <MadeGood screen={useJobScreen(job, SHOP)} knowledge={KNOWLEDGE} parameters={SHOP.parameters} />;
}

describe("around the next move", () => {
  it("a lead found loose is made good in passing, once the machine is safe for hands", async () => {
    const job = jobOf("capacitor-start", [answer("tug-leads", "loose")]);
    const bodies = posted(job);
    render(<Good job={job} />);
    fireEvent.click(screen.getAllByRole("button", { name: /^Done: / })[0] as HTMLElement);
    expect(screen.getByTestId("gate").textContent).toContain("First: is the plug out?");
    expect(bodies).toEqual([]);
    tap("It was done before: keep it");
    await vi.waitFor(() => expect(payloads(bodies, "intervention")).toHaveLength(1));
  });

  it("the tap that says where the plug is keeps it as done now, and what turns is held by a tap of its own", async () => {
    const hull = jobOf("shaded-pole", [answer("tug-leads", "loose")], { hazards: ["blades"] });
    const bodies = posted(hull);
    render(<Good job={hull} />);
    fireEvent.click(screen.getAllByRole("button", { name: /^Done: / })[0] as HTMLElement);
    tap("Out, plug in sight");
    await vi.waitFor(() => expect(payloads(bodies, "intervention")).toHaveLength(1));
    expect(payloads(bodies, "intervention")[0]).toMatchObject({ taken: "now" });
  });

  it("nothing is made good that was not found by hand", () => {
    render(<Good job={jobOf("capacitor-start", [answer("start-capacitance", "below")])} />);
    expect(screen.queryByTestId("made-good")).toBeNull();
  });

  it("before the order stands what broke it, with its minutes", () => {
    const job = jobOf("capacitor-start", [
      answer("owner-report", "output-still"),
      answer("look-coupling", "torn"),
    ]);
    const onAsk = vi.fn();
    render(<BeforeOrder isolation={isolationOf(job)} knowledge={KNOWLEDGE} onAsk={onAsk} />);
    tap(/^Turn the load alone/);
    expect(screen.getByTestId("before-order").textContent).toContain("6 min");
    expect(onAsk).toHaveBeenCalledWith("turn-load");
  });

  it("with the same opening comes what takes a few minutes more, and nothing that needs another", () => {
    const job = jobOf("capacitor-start", [
      answer("owner-report", "hums-still"),
      answer("turn-shaft", "free"),
    ]);
    const onChoose = vi.fn();
    render(
      <WhileOpen
        chosen={moveOf("start-capacitance")}
        moves={isolationOf(job).moves}
        knowledge={KNOWLEDGE}
        onChoose={onChoose}
      />,
    );
    const offered = screen.getAllByRole("button");
    for (const one of offered) fireEvent.click(one);
    const { access } = moveOf("start-capacitance");
    const asked = onChoose.mock.calls.map(([id]) => moveOf(String(id)).access);
    expect(asked.length).toBeGreaterThan(0);
    expect(new Set(asked)).toEqual(new Set([access]));
  });
});
