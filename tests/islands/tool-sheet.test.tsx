import { act, cleanup, fireEvent, render, renderHook, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Issue } from "@/core/result";
import { PairsField } from "@/islands/tools/PairsField";
import { useToolSheet } from "@/islands/tools/use-tool-sheet";
import { TOOLS } from "../core/shop-context";
import { SHOP } from "./job-fixture";

const CAPACITOR = "capacitor-against-mark";
const MARK = { mark: "30 μF ±5% 450V~", bleedResistor: "none" };
const shop = { ...SHOP, settings: { ...SHOP.settings, leadOhms: "0.3" } };

function toolOf(id: string) {
  const tool = TOOLS.find((one) => one.id === id);
  if (!tool) throw new Error(`no tool ${id}`);
  return tool;
}

interface Kept {
  readonly input: Readonly<Record<string, unknown>>;
  readonly taken: string;
}

/** A sheet of a tool whose target keeps what it is given, or answers with the issues it is told to. */
function sheet(id: string, answers: readonly Issue[] = [], gate = () => false) {
  const kept: Kept[] = [];
  const target = {
    isGated: gate,
    keep: async (input: Kept["input"], taken: Kept["taken"]) => {
      kept.push({ input, taken });
      return answers;
    },
  };
  const made = renderHook(() => useToolSheet({ tool: toolOf(id), draftKey: "7", given: {}, shop, target }));
  return {
    ...made,
    kept,
    set: (change: Record<string, string>) => act(() => made.result.current.set(change)),
  };
}

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a tool's sheet", () => {
  it("asks for what is missing in the order of its fields, gives the verdict once it is there, and keeps it once", async () => {
    const { result, set, kept } = sheet(CAPACITOR);
    expect(result.current.isBegun).toBe(false);
    expect(result.current.missing).toBeTruthy();
    const id = result.current.reading?.id ?? "";
    await act(() => result.current.keep("now"));
    expect(kept).toHaveLength(0);
    set({ ...MARK, [id]: "20.0" });
    expect(result.current).toMatchObject({
      isBegun: true,
      missing: undefined,
      finding: { verdict: "faulty" },
    });
    await act(() => result.current.keep("now"));
    expect(kept.map(({ taken }) => taken)).toEqual(["now"]);
    // The next reading is typed anew; the mark stays.
    expect(result.current.draft[id] ?? "").toBe("");
    expect(result.current.draft["mark"]).toBe(MARK.mark);
  });

  it("loses nothing that was typed when it is refused, and says why", async () => {
    const { result, set, unmount } = sheet(CAPACITOR, [
      { path: "", code: "guard/other", message: "Not now." },
    ]);
    const id = result.current.reading?.id ?? "";
    set({ ...MARK, [id]: "20.0" });
    await act(() => result.current.keep("now"));
    expect(result.current.draft[id]).toBe("20.0");
    unmount();
    expect(sheet(CAPACITOR).result.current.draft[id]).toBe("20.0");
  });

  it("stops before a reading whose plug is not known, and goes on where that was settled", async () => {
    const { result, set, kept } = sheet(CAPACITOR, [], () => true);
    const id = result.current.reading?.id ?? "";
    set({ ...MARK, [id]: "20.0" });
    act(() => result.current.tryKeep());
    expect(result.current.isGated).toBe(true);
    expect(kept).toHaveLength(0);
    act(() => result.current.settled());
    expect(result.current.isGated).toBe(false);
    await act(() => result.current.keep("afterwards"));
    expect(kept.map(({ taken }) => taken)).toEqual(["afterwards"]);
  });

  it("complains of a figure only where one was typed", () => {
    const { result, set } = sheet(CAPACITOR);
    const id = result.current.reading?.id ?? "";
    expect(result.current.problemOf(id)).toBeUndefined();
    set({ [id]: "twelve" });
    expect(result.current.problemOf(id)).toBeTruthy();
  });
});

function Pairs() {
  const tool = toolOf("lead-map");
  const target = { isGated: () => false, keep: async () => [] };
  const model = useToolSheet({
    tool,
    draftKey: "9",
    given: {},
    shop,
    target,
  });
  const [id, field] = Object.entries(tool.fields).find(([, { kind }]) => kind === "pairs") ?? [];
  if (id === undefined || field?.kind !== "pairs") throw new Error("no pairs");
  return <PairsField model={model} id={id} field={field} hasMeter={false} />;
}

describe("the table of leads", () => {
  const cell = (name: string) => screen.getByRole("textbox", { name });
  const cells = () =>
    screen.queryAllByRole("textbox", { name: / to / }).map((one) => one.getAttribute("aria-label"));

  it("has each pair once, keeps what was typed under its pair whatever is named later, and goes on to the next", () => {
    vi.stubGlobal(
      "Worker",
      class extends EventTarget {
        postMessage(): void {}
        terminate(): void {}
      },
    );
    render(<Pairs />);
    expect(cells()).toEqual([]);
    fireEvent.click(screen.getByRole("button", { name: "red" }));
    fireEvent.click(screen.getByRole("button", { name: "white" }));
    expect(cells()).toEqual(["red to white"]);
    fireEvent.change(cell("red to white"), { target: { value: "14.2" } });
    // Once ohms are typed the colours make room, and a lead can still be named.
    fireEvent.change(screen.getByLabelText(/Leads, as they can be told apart/), {
      target: { value: "red white black" },
    });
    expect(cells()).toEqual(["red to white", "red to black", "white to black"]);
    expect(cell("red to white")).toHaveProperty("value", "14.2");
    cell("red to white").focus();
    fireEvent.keyDown(cell("red to white"), { key: "Enter" });
    expect(document.activeElement?.getAttribute("aria-label")).toBe("red to black");
    fireEvent.change(cell("red to white"), { target: { value: "" } });
    expect(cell("red to white")).toHaveProperty("value", "");
  });
});
