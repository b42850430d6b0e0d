import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { useWorkedOut } from "@/islands/tools/use-worked-out";
import { TOOLS } from "../core/shop-context";
import { SHOP } from "./job-fixture";

const LEAD_MAP = TOOLS.find(({ id }) => id === "lead-map");
const METER = { percent: 0.8, counts: 2, resolution: "0.1" };
const table = (reading: string) => ({
  pairs: { leads: ["red", "white"], pairs: [{ a: "red", b: "white", reading }] },
  kind: "permanent-split-capacitor",
  warm: "cold",
  meter: METER,
});

/** A thread that is asked and does not answer, unless it breaks off. */
class Silent extends EventTarget {
  static made: Silent[] = [];
  isEnded = false;
  constructor() {
    super();
    Silent.made.push(this);
  }
  postMessage(): void {}
  terminate(): void {
    this.isEnded = true;
  }
}

function workOut(reading: string) {
  if (!LEAD_MAP) throw new Error("no lead map");
  const tool = LEAD_MAP;
  return renderHook(({ typed }) => useWorkedOut(tool, table(typed), SHOP), {
    initialProps: { typed: reading },
  });
}

describe("what takes long", () => {
  beforeEach(() => {
    Silent.made = [];
    vi.stubGlobal("Worker", Silent);
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it("is stopped: its thread ends, nothing more is said to be under way, and typing begins it again", async () => {
    const { result, rerender } = workOut("14.2");
    await waitFor(() => expect(Silent.made).toHaveLength(1));
    await waitFor(() => expect(result.current.progress).toBe(0));
    act(() => result.current.cancel());
    expect(result.current).toMatchObject({ result: undefined, progress: undefined });
    expect(Silent.made[0]?.isEnded).toBe(true);
    rerender({ typed: "14.3" });
    await waitFor(() => expect(Silent.made).toHaveLength(2));
    expect(result.current.progress).toBe(0);
  });

  it("says so when its thread breaks off, and what can be done", async () => {
    const { result } = workOut("14.2");
    await waitFor(() => expect(Silent.made).toHaveLength(1));
    act(() => void Silent.made[0]?.dispatchEvent(new Event("error")));
    await waitFor(() => expect(result.current.progress).toBeUndefined());
    const said = result.current.result;
    expect(said?.ok === false && said.issues[0]?.message).toContain("the server works it out");
  });
});
