import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { Removed } from "@/core/job/log/entry";
import { PutBackScreen } from "@/islands/put-back/PutBackScreen";
import { $job } from "@/islands/state/job";
import { type Line, mended } from "../core/job/entries";
import { KNOWLEDGE } from "../core/shop-context";
import { jobOf, payloads, posted, SHOP } from "./job-fixture";

const off = (what: string, change: Partial<Removed> = {}): Line => [
  "removed",
  { sort: "part", what, count: 1, where: "", ...EMPTY_REMOVED_FACTS, ...change },
];
const back = (line: number, count: number | null = null): Line => [
  "refitted",
  { ...EMPTY_REFITTED_FACTS, line, how: "back", count },
];
const FITTED: Line = mended({ label: "Bearing pair fitted" });
const PICTURE: Line = [
  "picture",
  { sha256: "a".repeat(64), of: "inside", width: 400, height: 300, words: "" },
];

function show(...lines: readonly Line[]) {
  const job = jobOf("capacitor-start", lines);
  const bodies = posted(job);
  render(<PutBackScreen job={job} shop={SHOP} repairs={KNOWLEDGE.repairs} />);
  return { job, bodies };
}

const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.unstubAllGlobals();
});

describe("taking apart", () => {
  it("one tap writes a line with the count and the tray that stand ready", async () => {
    const { bodies } = show();
    const apart = screen.getByTestId("took-off");
    fireEvent.click(within(apart).getByLabelText("4"));
    fireEvent.click(within(apart).getByLabelText("tray 3"));
    tap("Off: star");
    await vi.waitFor(() => expect(payloads(bodies, "removed")).toHaveLength(1));
    expect(payloads(bodies, "removed")[0]).toMatchObject({
      sort: "fastener",
      what: "screw",
      drive: "star drive",
      count: 4,
      where: "tray 3",
      pin: null,
    });
  });

  it("after a line the count is one again and the tray stays", async () => {
    const { bodies } = show();
    const apart = screen.getByTestId("took-off");
    fireEvent.click(within(apart).getByLabelText("4"));
    fireEvent.click(within(apart).getByLabelText("tray 3"));
    tap("Off: star");
    await vi.waitFor(() =>
      expect((within(apart).getByLabelText("1") as HTMLInputElement).checked).toBe(true),
    );
    tap("Off: wave washer");
    await vi.waitFor(() => expect(payloads(bodies, "removed")).toHaveLength(2));
    expect(payloads(bodies, "removed")[1]).toMatchObject({ sort: "washer", count: 1, where: "tray 3" });
  });

  it("a wire is a colour and the terminal it was on", async () => {
    const { bodies } = show();
    fireEvent.change(screen.getByLabelText("from terminal"), { target: { value: "U2" } });
    tap("Off: green-yellow wire from U2");
    await vi.waitFor(() => expect(payloads(bodies, "removed")).toHaveLength(1));
    expect(payloads(bodies, "removed")[0]).toMatchObject({ colour: "green-yellow", terminal: "U2" });
  });

  it("the pin is set by tap or key, moved by arrows, and goes with the next line only", async () => {
    const { bodies } = show(PICTURE);
    const picture = screen.getByTestId("pin-picture");
    fireEvent.click(picture, { detail: 0 });
    fireEvent.keyDown(picture, { key: "ArrowRight" });
    expect(screen.getByText("The next thing that comes off is pinned here.")).toBeTruthy();
    tap("Off: felt");
    await vi.waitFor(() => expect(payloads(bodies, "removed")).toHaveLength(1));
    expect(payloads(bodies, "removed")[0]?.["pin"]).toEqual({ picture: 2, x: 0.52, y: 0.5 });
    expect(await screen.findByText("Tap the picture where the next thing comes off.")).toBeTruthy();
  });

  it("what was typed in words survives the page", () => {
    show();
    fireEvent.change(screen.getByLabelText("What"), { target: { value: "felt ring" } });
    cleanup();
    show();
    expect((screen.getByLabelText("What") as HTMLInputElement).value).toBe("felt ring");
  });
});

describe("putting back", () => {
  it("the last off is the loudest, with its pin large, and one tick is one line", async () => {
    const { bodies } = show(
      PICTURE,
      off("fan", { pin: { picture: 2, x: 0.1, y: 0.1 } }),
      off("rotor"),
      FITTED,
    );
    const items = within(screen.getByRole("list", { name: "To put back" })).getAllByRole("listitem");
    expect(items[0]?.textContent).toContain("rotor");
    expect(within(items[0] as HTMLElement).getByTestId("off-4").className).toContain("move");
    tap("Back on: rotor");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toEqual({ ...EMPTY_REFITTED_FACTS, line: 4, how: "back" });
  });

  it("of several some can be back, and the bar counts what is left and names the washer", async () => {
    const { bodies } = show(
      off("screw", { sort: "fastener", count: 4 }),
      off("wave washer", { sort: "washer" }),
      FITTED,
      back(2, 1),
    );
    expect(screen.getByTestId("left-bar").textContent).toContain("2 of 2 left, wave washer missing");
    expect(screen.getByText("3 of 4 still off")).toBeTruthy();
    tap("Otherwise: 4 × screw");
    tap("Some of them are back");
    tap("2");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toMatchObject({ line: 2, how: "back", count: 2 });
  });

  it("a new part asks what was moved over from the old one", async () => {
    const { bodies } = show(off("bearing pair"), FITTED);
    tap("Otherwise: bearing pair");
    tap("New one fitted: bearing pair");
    fireEvent.click(screen.getByLabelText("wave washer"));
    tap("New one fitted");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toMatchObject({ how: "replaced", carried: ["wave washer"] });
  });

  it("left out needs its why: the server is asked with what was typed", async () => {
    const { bodies } = show(off("felt", { sort: "seal" }), FITTED);
    tap("Otherwise: felt");
    tap("Left out");
    fireEvent.change(screen.getByLabelText("Why it is left out"), {
      target: { value: "worn, none in stock" },
    });
    tap("Leave it out");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toMatchObject({ how: "left-out", why: "worn, none in stock" });
  });

  it("a name of one's own is asked what it is before it counts as harmless, and a guard is never asked", async () => {
    const { bodies } = show(off("thingummy"), off("blade guard"), FITTED);
    tap("Otherwise: thingummy");
    tap("Left out");
    expect(screen.getByText(/Until that is said it counts/)).toBeTruthy();
    fireEvent.click(screen.getByLabelText("Nothing of the kind"));
    expect(screen.queryByText(/from harm:/)).toBeNull();
    fireEvent.change(screen.getByLabelText("Why it is left out"), { target: { value: "not missed" } });
    tap("Leave it out");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toMatchObject({ how: "left-out", protects: "none" });
    cleanup();
    show(off("blade guard"), FITTED);
    tap("Otherwise: blade guard");
    tap("Left out");
    expect(screen.queryByLabelText("Nothing of the kind")).toBeNull();
    expect(screen.getByText(/It keeps someone from harm/)).toBeTruthy();
  });

  it("what is ticked before its gate is open is kept as done before, and the screen says so", async () => {
    const { bodies } = show(off("fan"), FITTED);
    expect(screen.getByTestId("before-hands").textContent).toContain("say where the plug is");
    tap("Back on: fan");
    await vi.waitFor(() => expect(payloads(bodies, "refitted")).toHaveLength(1));
    expect(payloads(bodies, "refitted")[0]).toMatchObject({ how: "back", taken: "afterwards" });
  });

  it("with all of it back it says so, and bars no collar", () => {
    show(off("fan"), FITTED, back(2));
    expect(screen.getByText("All is back and covered")).toBeTruthy();
    expect(screen.queryByTestId("left-bar")).toBeNull();
    expect(screen.getByRole("link", { name: "Sign off, to come" })).toBeTruthy();
  });

  it("while something is off the Sign off collar is barred", () => {
    show(off("fan"), FITTED);
    expect(screen.getByRole("link", { name: "Sign off, locked until all is back" })).toBeTruthy();
  });
});
