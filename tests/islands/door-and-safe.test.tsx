import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { EMPTY_BILL_FACTS } from "@/core/job/log/empty-facts";
import { MakeSafeScreen } from "@/islands/make-safe/MakeSafeScreen";
import { $job } from "@/islands/state/job";
import { $watches } from "@/islands/state/watch";
import { formFrom } from "@/islands/take-in/form";
import { TagScreen } from "@/islands/take-in/TagScreen";
import { NewJobScreen, TakeInScreen } from "@/islands/take-in/TakeInScreen";
import { check, type Line, OUT } from "../core/job/entries";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByRole("textbox", { name: label }), { target: { value } });

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  $job.set(null);
  $watches.set({});
  vi.unstubAllGlobals();
});

describe("at the door", () => {
  it("a line of the plate fills the fields, and says what it means", () => {
    render(<NewJobScreen shop={SHOP} />);
    type("The plate in one line", "230 V 50 Hz 3.4 A 2.5 hp peak");
    fireEvent.keyDown(screen.getByLabelText("The plate in one line"), { key: "Enter" });
    expect((screen.getByRole("textbox", { name: "Volts" }) as HTMLInputElement).value).toBe("230");
    expect((screen.getByLabelText("Peak") as HTMLInputElement).checked).toBe(true);
    expect(screen.getByTestId("plate-meaning").textContent).toContain("is a peak for selling");
    expect(localStorage.getItem("good-spindle:draft:take-in:new"), "put aside on the device").toContain(
      "2.5 hp",
    );
  });

  it("what its kind brings needs no tick, and a recall notice stands out", () => {
    render(<NewJobScreen shop={SHOP} />);
    type("Machine", "Hedge trimmer");
    tap(/^What else can hurt/);
    expect(screen.getByText("Blades and teeth, of its kind")).toBeTruthy();
    type("Machine", "Weaving winder");
    tap(/^The rest of the plate/);
    type("Type or serial", "Series A 12");
    tap(/^Tag, money, recall/);
    expect(screen.getByText(/the entry is changed/).textContent).toContain("Notice 7");
  });

  it("a machine that was here before is begun from, and its twin without history", () => {
    const job = jobOf("universal", [["note", { text: "x" }]], {
      history: "Stood in the damp.",
      hazards: ["blades"],
    });
    const same = formFrom(job, "same", "EUR");
    expect(same).toMatchObject({
      family: "universal",
      hazards: ["blades"],
      from: { jobId: 118, as: "same" },
    });
    expect(same.history).toBe("Stood in the damp. Job 118 here.");
    expect(formFrom(job, "twin", "EUR")).toMatchObject({ history: "", family: "universal" });
  });

  it("a hazard of the machine as it was kept is taken back with a reason, also from a draft that a reload brought back", () => {
    const job = jobOf("capacitor-start", [], { machine: "Hedge trimmer", hazards: ["springs"] });
    const label = /^Before, it had .*springs under load.*: why has it none now\?$/;
    const { unmount } = render(<TakeInScreen job={job} ownerName="" ownerContact="" shop={SHOP} />);
    expect(screen.queryByLabelText(label)).toBeNull();
    tap(/^What else can hurt/);
    fireEvent.click(screen.getByLabelText("Springs under load"));
    expect(screen.getByLabelText(label)).toBeTruthy();
    unmount();
    render(<TakeInScreen job={job} ownerName="" ownerContact="" shop={SHOP} />);
    expect(screen.getByLabelText(label)).toBeTruthy();
  });

  it("what is plainly seen is kept with what is taken in, as a look and a decision, never as mended", async () => {
    const bodies = posted(jobOf("universal"));
    render(<NewJobScreen shop={SHOP} />);
    type("Machine", "Sewing machine");
    tap("Fault plainly seen …");
    tap("Belt off or broken");
    expect(screen.getByRole("button", { name: "Seen: belt off or broken" })).toBeTruthy();
    tap("Take it in");
    await vi.waitFor(() => expect(payloads(bodies, "decision")).toHaveLength(1));
    expect(payloads(bodies, "decision")[0]).toMatchObject({ route: "part", repair: "fit-belt" });
    expect(payloads(bodies, "answer")[0]).toMatchObject({ moveId: "belt-look", outcomeId: "off" });
    expect(payloads(bodies, "intervention")).toEqual([]);
  });

  it("the tag of a machine that left unsafe cannot be missed", () => {
    const unsafe: Line = [
      "signed-off",
      {
        word: "do-not-use",
        unproven: [],
        minutes: 1,
        labourMinor: 0,
        partsMinor: 0,
        watch: "",
        ...EMPTY_BILL_FACTS,
      },
    ];
    const { rerender } = render(
      <TagScreen job={jobOf("universal", [unsafe])} ownerName="Fern Pottery" shop={SHOP} code="data:," />,
    );
    expect(screen.getByTestId("do-not-use").textContent).toContain("DO NOT USE");
    rerender(<TagScreen job={jobOf("universal")} ownerName="Fern Pottery" shop={SHOP} code="data:," />);
    expect(screen.queryByTestId("do-not-use")).toBeNull();
    expect(screen.getByRole("article", { name: "Tag" }).textContent).toContain("118");
  });
});

const CHECKED: readonly Line[] = ["look-and-cord", "earth-continuity", "insulation"].map((id) => [
  "reading",
  check(id),
]);

describe("the line of a plate", () => {
  const value = (name: string) => (screen.getByRole("textbox", { name }) as HTMLInputElement).value;

  it("fills the fields as it is typed, and gives back what they held when it comes to say less", () => {
    render(<NewJobScreen shop={SHOP} />);
    type("Volts", "110");
    type("The plate in one line", "230 V 50 Hz");
    expect([value("Volts"), value("Hertz")]).toEqual(["230", "50"]);
    type("The plate in one line", "3.4 A");
    expect([value("Volts"), value("Hertz"), value("Amps")]).toEqual(["110", "", "3.4"]);
  });

  it("a kind of motor that is usual for such a machine is one tap, and nobody's guess", () => {
    render(<NewJobScreen shop={SHOP} />);
    type("Machine", "Hedge trimmer");
    expect((screen.getByLabelText("Kind of motor") as HTMLSelectElement).value).toBe("not-known");
    fireEvent.click(screen.getByRole("button", { name: "Universal, brushed" }));
    expect((screen.getByLabelText("Kind of motor") as HTMLSelectElement).value).toBe("universal");
  });
});

describe("made safe", () => {
  const show = (change: object, ...lines: readonly Line[]) => {
    const job = jobOf("split-phase", [["bench-state", OUT], ...CHECKED, ...lines], change);
    const bodies = posted(job);
    $watches.set({ "118": { settledSeq: 99, touchedAt: new Date().toISOString() } });
    render(<MakeSafeScreen job={job} shop={{ ...SHOP, now: new Date().toISOString() }} />);
    return bodies;
  };

  it("springs are held or not there, by a tap of their own; nothing ticks itself", async () => {
    const bodies = show({ hazards: ["springs", "dust"] });
    const hurt = within(screen.getByRole("region", { name: "What else can hurt" }));
    expect(hurt.getByText("Springs under load.")).toBeTruthy();
    fireEvent.click(hurt.getByRole("button", { name: "The springs are held" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "bench-state")).toEqual([{ event: "held", id: "springs", is: "held" }]),
    );
    fireEvent.click(hurt.getByRole("button", { name: "Dust, mould, carbon: Seen to" }));
    await vi.waitFor(() => expect(payloads(bodies, "bench-state")).toHaveLength(2));
    expect(payloads(bodies, "bench-state")[1]).toEqual({ event: "seen-to", id: "dust" });
  });

  it("a machine with plug and battery is asked for both, and unplugging alone leaves it as it was", () => {
    show({ hazards: ["battery"] });
    expect(screen.getByRole("heading", { name: "Are plug and battery out?" })).toBeTruthy();
    expect(screen.getByTestId("bench-state").textContent).toContain("Not known: is the battery out?");
    expect(screen.getByRole("button", { name: "Battery is out" })).toBeTruthy();
  });

  it("a plate that says high voltage shows no time and no way of draining", () => {
    const plate: Line = [
      "nameplate",
      {
        plate: "motor",
        volts: "",
        hertz: "",
        amps: "",
        power: "180 W",
        speed: "",
        powerIs: "not-said",
        typeCode: "",
        duty: "",
        enclosure: "",
        text: "HV 2,100 V",
      },
    ];
    const job = jobOf("capacitor-start", [["bench-state", OUT], ...CHECKED, plate]);
    posted(job);
    $watches.set({ "118": { settledSeq: 99, touchedAt: new Date().toISOString() } });
    render(<MakeSafeScreen job={job} shop={{ ...SHOP, now: new Date().toISOString() }} />);
    expect(screen.getByTestId("not-drained-here").textContent).toContain(
      "nothing in it is touched or drained",
    );
    expect(screen.queryByTestId("resistor-refused")).toBeNull();
  });

  it("gas and high voltage end it here, whatever was measured", () => {
    show({ hazards: ["gas", "high-voltage"] });
    const alerts = screen
      .getAllByRole("alert")
      .map(({ textContent }) => textContent)
      .join(" ");
    expect(alerts).toContain("No power here: high voltage.");
    expect(alerts).toContain("licensed gas fitter");
    expect(alerts).toContain("the guidance ends here");
    expect(screen.queryByTestId("drain-time")).toBeNull();
    expect(screen.queryByLabelText(/^Volts read across/)).toBeNull();
  });

  it("what can hurt is seen to before a cover comes off, and several in one tap", async () => {
    const bodies = show({ hazards: ["weight", "dust", "blades"] });
    const hurt = within(screen.getByRole("region", { name: "What else can hurt" }));
    expect(hurt.getByRole("button", { name: "The blades are blocked" })).toBeTruthy();
    fireEvent.click(hurt.getByRole("button", { name: "All 2 seen to" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "bench-state")).toEqual([
        { event: "seen-to", id: "weight" },
        { event: "seen-to", id: "dust" },
      ]),
    );
  });

  it("a cover is one tap, and what comes off with it is offered at once", () => {
    show({ machine: "Floor polisher" }, [
      "opened",
      { access: "terminal cover", is: "terminal-cover", taken: "afterwards" },
    ]);
    const charge = within(screen.getByRole("region", { name: "Is anything charged?" }));
    fireEvent.click(charge.getByRole("button", { name: /look|change/ }));
    expect(charge.getByRole("button", { name: "Capacitor cover off" })).toBeTruthy();
    expect(charge.queryByRole("button", { name: "Terminal cover off" })).toBeNull();
    expect(charge.getByRole("button", { name: "Back on: terminal cover" })).toBeTruthy();
    expect(charge.getByText("What came off with it")).toBeTruthy();
  });

  it("the number hangs on the machine straight after the door, and not later", () => {
    show({});
    expect(screen.queryByTestId("hang-tag")).toBeNull();
    cleanup();
    $job.set(null);
    const job = jobOf("split-phase", [["note", { text: "at the door" }]]);
    posted(job);
    render(<MakeSafeScreen job={job} shop={SHOP} />);
    expect(screen.getByTestId("hang-tag").textContent).toContain(String(job.jobId));
  });
});
