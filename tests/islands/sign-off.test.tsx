import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import {
  EMPTY_BILL_FACTS,
  EMPTY_FOLLOW_UP_FACTS,
  EMPTY_OWNER_FACTS,
  EMPTY_REFITTED_FACTS,
  EMPTY_REMOVED_FACTS,
} from "@/core/job/log/empty-facts";
import type { AcceptanceRun, Payloads } from "@/core/job/log/entry";
import { RunClock } from "@/islands/sign-off/RunClock";
import { SheetScreen } from "@/islands/sign-off/SheetScreen";
import { SignOffScreen } from "@/islands/sign-off/SignOffScreen";
import { $job } from "@/islands/state/job";
import { letterOf } from "@/letter/letter";
import { check, type Line, mended, OUT, ran } from "../core/job/entries";
import { KNOWLEDGE } from "../core/shop-context";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

const COLD: Line = [
  "complaint",
  { signs: ["hum"], circumstance: "cold", afterMinutes: null, words: "Hums." },
];
const FITTED: Line = mended();
const TESTS: readonly Line[] = ["look-and-cord", "earth-continuity", "insulation"].map((id) => [
  "reading",
  check(id),
]);
const run = (change: Partial<AcceptanceRun> = {}): Line =>
  ran({ circumstance: "hot", minutes: 10, ...change });
const signed = (word: Payloads["signed-off"]["word"]): Line => [
  "signed-off",
  { word, unproven: [], minutes: 30, labourMinor: 1000, partsMinor: 1200, watch: "", ...EMPTY_BILL_FACTS },
];

function show(...lines: readonly Line[]) {
  const job = jobOf("capacitor-start", [COLD, ["bench-state", OUT], ...lines]);
  const bodies = posted(job);
  render(<SignOffScreen job={job} shop={SHOP} />);
  return { job, bodies };
}
const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const part = (name: string) => within(screen.getByRole("region", { name }));

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.unstubAllGlobals();
});

describe("final tests", () => {
  it("a class I machine is asked for earth, a class II machine never", () => {
    show(FITTED);
    expect(screen.getByText("Earth continuity")).toBeTruthy();
    cleanup();
    const job = jobOf("universal", [COLD, FITTED], { protectionClass: "class-2" });
    posted(job);
    render(<SignOffScreen job={job} shop={SHOP} />);
    expect(screen.queryByText("Earth continuity")).toBeNull();
    expect(screen.getByText("Insulation, line and neutral joined to metal")).toBeTruthy();
  });

  it.each([
    ["cover", "fan guard", "back", "Covers on, nothing left over1 back"],
    ["part", "spare bracket", "left-out", "Covers on, nothing left over0 back, 1 left out"],
    ["cover", "fan guard", "left-out", "Not fitted, and it protects: fan guard"],
  ] as const)("a %s (%s) that is %s: covers are told as they are", (sort, what, how, words) => {
    show(
      ["removed", { sort, what, count: 1, where: "", ...EMPTY_REMOVED_FACTS }],
      [
        "refitted",
        {
          ...EMPTY_REFITTED_FACTS,
          line: 4,
          how,
          why: "broken",
          protects: sort === "cover" ? "guard" : "none",
        },
      ],
    );
    expect(screen.getByTestId("covers").textContent).toContain(words);
  });

  it("leakage is offered where insulation cannot be taken", () => {
    show(FITTED);
    tap("It cannot be taken: leakage current instead");
    expect(screen.getByTestId("check-leakage")).toBeTruthy();
  });

  it("power is not invited before they are passed, and then only behind a named outlet", async () => {
    show(FITTED);
    part("Run it as the complaint comes").getByRole("button", { name: "look" }).click();
    expect(await screen.findByText("What is missing above comes before power.")).toBeTruthy();
    cleanup();
    const { bodies } = show(FITTED, ...TESTS);
    fireEvent.click(screen.getByRole("button", { name: "Plugged in, hands off: green socket" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "bench-state")).toEqual([{ event: "plugged-in", outlet: "residual-current" }]),
    );
  });

  it("a failed one invites no power either", () => {
    show(FITTED, ...TESTS.slice(0, 2), ["reading", check("insulation", "failed")]);
    expect(screen.queryByRole("button", { name: /^Plugged in, hands off/ })).toBeNull();
  });
});

describe("the run", () => {
  it("says beforehand what it would leave unproven, and keeps figures that were typed", async () => {
    const { bodies } = show(FITTED, ...TESTS);
    const form = part("Run it as the complaint comes");
    fireEvent.click(form.getByLabelText("Hot"));
    fireEvent.change(form.getByLabelText("For how many minutes"), { target: { value: "10" } });
    expect(form.getByText(/^Even if it runs well: it was not run cold/)).toBeTruthy();
    fireEvent.click(form.getByRole("button", { name: "and stop time" }));
    fireEvent.change(form.getByLabelText("Stop time before the repair"), { target: { value: "21" } });
    fireEvent.change(form.getByLabelText("Stop time now"), { target: { value: "4.2" } });
    fireEvent.click(form.getByRole("button", { name: "The complaint is gone" }));
    await vi.waitFor(() => expect(payloads(bodies, "acceptance-run")).toHaveLength(1));
    expect(payloads(bodies, "acceptance-run")[0]).toMatchObject({
      circumstance: "hot",
      minutes: 10,
      figures: [{ quantity: "time", before: "21", after: "4.2" }],
    });
  });

  it("asks which way it turns once another motor is in, and not before", async () => {
    const asked = "Which way it turns, by its arrow or its work";
    show(FITTED, ...TESTS);
    expect(screen.queryByRole("group", { name: asked })).toBeNull();
    cleanup();
    const motor = mended({ repair: "fit-motor" });
    const { bodies } = show(motor, ...TESTS);
    const form = part("Run it as the complaint comes");
    fireEvent.click(form.getByLabelText("Cold"));
    fireEvent.change(form.getByLabelText("For how many minutes"), { target: { value: "2" } });
    expect(form.queryByText(/from the switch to standing still/)).toBeNull();
    fireEvent.click(form.getByLabelText("The wrong way"));
    fireEvent.click(form.getByRole("button", { name: "The complaint is gone" }));
    await vi.waitFor(() => expect(payloads(bodies, "acceptance-run")).toHaveLength(1));
    expect(payloads(bodies, "acceptance-run")[0]).toMatchObject({ turns: "wrong" });
  });

  it("asks for the stop of a brake that was worked on, with the limit of its kind and who says so", () => {
    const job = jobOf("universal", [COLD, ["bench-state", OUT], mended({ repair: "fit-motor" }), ...TESTS], {
      machine: "Hedge trimmer",
    });
    render(<SignOffScreen job={job} shop={SHOP} />);
    const form = part("Run it as the complaint comes");
    expect(form.getByLabelText("Stop time now")).toBeTruthy();
    expect(
      form.getByText(/^At most 1 s from the switch to standing still \(iec-62841-1, recalled/),
    ).toBeTruthy();
  });

  it("tells as it is typed how much of a run counts: no more than power was on", () => {
    const plugged: Line = ["bench-state", { event: "plugged-in", outlet: "residual-current" }];
    const job = jobOf("capacitor-start", [COLD, ["bench-state", OUT], FITTED, ...TESTS, plugged]);
    const now = new Date(Date.parse(job.bench.onSince ?? "") + 5 * 60_000).toISOString();
    const { rerender } = render(<RunClock job={job} minutes={20} now={now} />);
    expect(screen.getByText(/^Kept now, this run counts for 6 min/)).toBeTruthy();
    rerender(<RunClock job={job} minutes={6} now={now} />);
    expect(screen.queryByText(/^Kept now/)).toBeNull();
  });
});

describe("looking again", () => {
  it("offers what the proof lacks, with its condition and a day in the shop's calendar", async () => {
    const { bodies } = show(FITTED, ...TESTS, run());
    const again = part("To look at again");
    fireEvent.click(again.getByRole("button", { name: "Run it cold, as the complaint comes" }));
    fireEvent.click(again.getByRole("button", { name: "In a week" }));
    fireEvent.click(again.getByRole("button", { name: "Put it down" }));
    await vi.waitFor(() => expect(payloads(bodies, "follow-up")).toHaveLength(1));
    expect(payloads(bodies, "follow-up")[0]).toEqual({
      ...EMPTY_FOLLOW_UP_FACTS,
      what: "Run it cold, as the complaint comes",
      belowCelsius: 12,
      onDay: "2026-12-02",
    });
  });

  it("what is promised on a day leaves as a calendar file, and is told good, back or let go", async () => {
    const promise: Line = [
      "follow-up",
      { ...EMPTY_FOLLOW_UP_FACTS, what: "Run it cold", onDay: "2027-01-05" },
    ];
    const { bodies } = show(FITTED, ...TESTS, run(), promise);
    fireEvent.click(part("To look at again").getByRole("button", { name: "change" }));
    expect(screen.getByRole("link", { name: "Calendar file, 1 day" }).getAttribute("href")).toBe(
      "/jobs/118/calendar.ics",
    );
    tap("It came back");
    await vi.waitFor(() =>
      expect(payloads(bodies, "followed-up")).toEqual([{ line: 9, result: "came-back", words: "" }]),
    );
  });
});

describe("what may be said", () => {
  it("names what stands against repaired, and the bill with what was agreed at the door", () => {
    const job = jobOf("capacitor-start", [COLD, FITTED, ...TESTS, run()], {
      feeMinor: 2500,
      feeCounts: true,
      depositMinor: 1000,
      ceilingMinor: 500,
    });
    posted(job);
    render(<SignOffScreen job={job} shop={SHOP} />);
    const word = part("What may be said of it");
    fireEvent.click(word.getByRole("button", { name: "look" }));
    expect(screen.getByTestId("word").textContent).toContain("It was not run cold, as the complaint comes");
    fireEvent.change(word.getByLabelText("Minutes charged"), { target: { value: "30" } });
    expect(
      word.getByText(/at least the fee for looking, €25\.00: together €25\.00; €10\.00 paid ahead/),
    ).toBeTruthy();
    expect(word.getByText(/the owner wanted to be asked first/)).toBeTruthy();
  });

  it("is first put back while a washer is off", () => {
    show(
      ["removed", { sort: "washer", what: "wave washer", count: 1, where: "", ...EMPTY_REMOVED_FACTS }],
      FITTED,
    );
    expect(screen.getByTestId("still-off").textContent).toContain("1 left");
  });

  it("a job that came back is opened again with its why", async () => {
    const { bodies } = show(FITTED, ...TESTS, run(), signed("not-yet-proven"));
    tap("It came back …");
    fireEvent.change(screen.getByLabelText("Why it comes back"), { target: { value: "Hums at 3 °C." } });
    tap("Open it again");
    await vi.waitFor(() => expect(payloads(bodies, "reopened")).toEqual([{ why: "Hums at 3 °C." }]));
  });
});

describe("the sheet", () => {
  const sheet = (...lines: readonly Line[]) => {
    const job = jobOf("capacitor-start", [COLD, ...lines]);
    const ownerName = "Tansy Weavers";
    const letter = letterOf(job, { shop: SHOP, ownerName, faults: KNOWLEDGE.faults, sentences: new Map() });
    render(<SheetScreen letter={letter} isOwnCopy={false} job={job} ownerName={ownerName} shop={SHOP} />);
    return screen.getByRole("article", { name: "Letter to the owner" });
  };

  it("of a machine that leaves unsafe says do not use, has its tag, and holds the owner's no", () => {
    const no: Line = [
      "owner-answer",
      { question: "Fit a motor for 95?", answer: "no", means: "telephone", ...EMPTY_OWNER_FACTS },
    ];
    const text =
      sheet(["reading", check("insulation", "failed")], no, signed("do-not-use")).textContent ?? "";
    expect(text).toContain("Do not use your");
    expect(text).toContain("We asked you by telephone: “Fit a motor for 95?”");
    expect(text).toContain("you said no");
    expect(screen.getByRole("link", { name: '"Do not use" tag' })).toBeTruthy();
  });

  it("never says more than the log allows now: a struck test takes the word with it", () => {
    const good = [FITTED, ...TESTS, run({ circumstance: "cold" }), signed("repaired")];
    expect(sheet(...good).textContent).toContain("is repaired.");
    cleanup();
    expect(sheet(...good, ["struck", { seq: 6, why: "", reason: "none" }]).textContent).not.toContain(
      "is repaired.",
    );
  });

  it("names leakage where it stood for insulation", () => {
    const lines = [
      FITTED,
      ...TESTS.slice(0, 2),
      ["reading", check("leakage")] as Line,
      run(),
      signed("not-yet-proven"),
    ];
    expect(sheet(...lines).textContent).toContain("Leakage current");
  });

  it("a washer put back and a promise stand on it", () => {
    const washer: Line = [
      "removed",
      { sort: "washer", what: "washer", count: 1, where: "", ...EMPTY_REMOVED_FACTS },
    ];
    const promise: Line = ["follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "Run it cold", belowCelsius: 12 }];
    const text = sheet(
      washer,
      FITTED,
      ["refitted", { ...EMPTY_REFITTED_FACTS, line: 3, how: "back" }],
      promise,
      signed("not-yet-proven"),
    );
    expect(text.textContent).toContain("Look again (below 12 °C): Run it cold");
  });

  it("is a letter, no log: no line numbers, no ids, nothing said to ourselves", () => {
    const text = sheet(FITTED, ...TESTS, run(), signed("not-yet-proven")).textContent ?? "";
    expect(text).not.toMatch(/\(line \d+|recalled|not checked\)|undefined|null|NaN|[a-z]+-[a-z]+-[a-z]+/);
    expect(text).toContain("What you told us");
    expect(text).toContain("If it does the same again, bring it back");
  });

  it("of a machine that was not worth it says why in one sentence with the two prices", () => {
    const replace: Line = [
      "decision",
      {
        route: "replace",
        repairs: [],
        label: "Another machine",
        mean: 9000,
        wrong: 0,
        against: { route: "part", mean: 14_000 },
        overrideWhy: "",
        otherWhy: "",
      },
    ];
    const text = sheet(replace, signed("not-repaired")).textContent ?? "";
    expect(text).toMatch(/would have cost about €140\.00.*another machine about €90\.00/);
    expect(text).toContain("is not repaired.");
  });

  it.each([
    [
      "stop",
      "part",
      /would have cost about €140\.00 with what it may still lead to: the repair is not worth it/,
    ],
    ["trade", "motor", /would have cost about €140\.00.*another shop about €90\.00/],
    // Held against going without it: no repair was priced, and none is spoken of.
    ["replace", "stop", /^(?!.*would have cost)/s],
  ] as const)("where %s was held against %s", (route, against, says) => {
    const ended: Line = [
      "decision",
      {
        route,
        repairs: [],
        label: "Not mended here",
        mean: 9000,
        wrong: 0,
        against: { route: against, mean: 14_000 },
        overrideWhy: "",
        otherWhy: "",
      },
    ];
    expect(sheet(ended, signed("not-repaired")).textContent ?? "").toMatch(says);
  });
});
