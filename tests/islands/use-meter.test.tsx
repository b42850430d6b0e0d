import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type MeterWanted, useMeter } from "@/islands/state/use-meter";

/** What the screen listens to, in the hand of the test. */
class Events {
  static all: Events[] = [];
  isClosed = false;
  readonly listeners = new Map<string, (message: { readonly data: string }) => void>();
  constructor(readonly address: string) {
    Events.all.push(this);
  }
  addEventListener(event: string, take: (message: { readonly data: string }) => void): void {
    this.listeners.set(event, take);
  }
  close(): void {
    this.isClosed = true;
  }
  send(event: string, data: object = {}): void {
    if (!this.isClosed) act(() => this.listeners.get(event)?.({ data: JSON.stringify(data) }));
  }
  reads(value: number): void {
    const line = { quantity: "resistance", kind: "value", value, resolution: 0.1 };
    this.send("reading", { line, typed: String(value) });
  }
}

const WANTED: MeterWanted = { quantity: "resistance", a: "red", b: "white" };

function meter() {
  const kept: string[] = [];
  const { result, rerender } = renderHook(
    (wanted: MeterWanted) => useMeter(wanted, (typed) => kept.push(typed)),
    {
      initialProps: WANTED,
    },
  );
  act(() => result.current.start());
  const events = (): Events => {
    const last = Events.all.at(-1);
    if (!last) throw new Error("nothing listens");
    return last;
  };
  return { kept, result, rerender, events };
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("EventSource", Events);
});
afterEach(() => {
  Events.all = [];
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe("a meter's figure on the screen", () => {
  it("is handed over once it has stood still for two seconds", () => {
    const { kept, result, events } = meter();
    for (let index = 0; index < 5; index += 1) {
      events().reads(14.2);
      act(() => vi.advanceTimersByTime(500));
    }
    expect(kept).toEqual(["14.2"]);
    expect(result.current).toMatchObject({ isOn: false, shown: undefined, problem: undefined });
  });

  it("is gone when the meter falls silent, and that is said", () => {
    const { result, events } = meter();
    events().reads(14.2);
    expect(result.current.shown).toBe("14.2");
    act(() => vi.advanceTimersByTime(3100));
    expect(result.current).toMatchObject({ isOn: false, shown: undefined });
    expect(result.current.problem).toContain("silent");
  });

  it("is gone when nothing ever comes", () => {
    const { result } = meter();
    act(() => vi.advanceTimersByTime(5100));
    expect(result.current.problem).toContain("silent");
  });

  it.each<[string, (events: Events) => void, RegExp]>([
    [
      "another quantity",
      (events) => events.send("unfit", { why: "The meter shows voltage" }),
      /shows voltage/,
    ],
    ["a figure below zero", (events) => events.reads(-3), /never below zero/],
  ])(
    "%s: the figure before it is gone, counts for nothing, and the meter is heard on",
    (_, happens, words) => {
      const { kept, result, events } = meter();
      for (let index = 0; index < 4; index += 1) {
        events().reads(14.2);
        act(() => vi.advanceTimersByTime(500));
      }
      happens(events());
      expect(result.current).toMatchObject({ isOn: true, shown: undefined });
      expect(result.current.problem).toMatch(words);
      events().reads(14.2);
      expect(result.current).toMatchObject({ shown: "14.2", problem: undefined });
      act(() => vi.advanceTimersByTime(500));
      events().reads(14.2);
      expect(kept).toEqual([]);
    },
  );

  it("is gone when it is stopped", () => {
    const { result, events } = meter();
    events().reads(14.2);
    act(() => result.current.stop());
    expect(result.current).toMatchObject({ isOn: false, shown: undefined });
    expect(events().isClosed).toBe(true);
    act(() => result.current.start());
    expect(result.current.shown).toBeUndefined();
  });

  it("never stands under another pair, and a late word of the old one is not heard", () => {
    const { kept, result, rerender, events } = meter();
    const before = events();
    before.reads(14.2);
    rerender({ ...WANTED, b: "black" });
    expect(result.current).toMatchObject({ isOn: true, shown: undefined });
    expect(result.current.problem).toContain("place was changed");
    before.reads(14.2);
    expect(result.current.shown).toBeUndefined();
    expect(events().address).toContain("b=black");
    events().reads(35.8);
    expect(result.current).toMatchObject({ shown: "35.8", problem: undefined });
    expect(kept).toEqual([]);
  });
});
