import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { readDraft, useDraft } from "@/islands/state/draft";
import { benchName } from "@/islands/state/person";
import { keep, kept } from "@/islands/state/storage";

interface Note {
  readonly text: string;
  readonly tags: readonly string[];
}
const EMPTY: Note = { text: "", tags: [] };
const PREFIX = "good-spindle:draft:";
const typed = () => renderHook(() => useDraft<Note>("note", EMPTY));

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe("what is typed", () => {
  it("is there again after a reload, and gone once it was kept", () => {
    const first = typed();
    act(() => first.result.current[1]({ text: "brushes short", tags: ["look"] }));
    first.unmount();
    const again = typed();
    expect(again.result.current[0]).toEqual({ text: "brushes short", tags: ["look"] });
    act(() => again.result.current[2]());
    expect(again.result.current[0]).toEqual(EMPTY);
    expect(typed().result.current[0]).toEqual(EMPTY);
  });

  it("of an older page keeps what it has and gets the fields that came since", () => {
    localStorage.setItem(`${PREFIX}note`, JSON.stringify({ text: "hums" }));
    expect(typed().result.current[0]).toEqual({ text: "hums", tags: [] });
  });

  it.each(["{", "", "[]", '"text"', "null", "7"])(
    "that nobody can read (%s) takes no page down",
    (garbage) => {
      localStorage.setItem(`${PREFIX}note`, garbage);
      expect(typed().result.current[0]).toEqual(EMPTY);
      localStorage.setItem(`${PREFIX}volts`, garbage);
      const volts = renderHook(() => useDraft("volts", "")).result.current[0];
      expect(typeof volts).toBe("string");
    },
  );

  it("stays on the page where the browser refuses to store it, and the bench keeps one name", () => {
    vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new DOMException("no room", "QuotaExceededError");
    });
    const first = typed();
    act(() => first.result.current[1]({ text: "14.2", tags: [] }));
    first.unmount();
    expect(typed().result.current[0].text).toBe("14.2");
    expect(benchName()).toBe(benchName());
    act(() => first.result.current[2]());
  });

  it("is asked of no storage that the browser forbids", () => {
    vi.spyOn(Storage.prototype, "getItem").mockImplementation(() => {
      throw new DOMException("forbidden", "SecurityError");
    });
    expect(readDraft("anything")).toBeUndefined();
    expect(kept("tab", "anything")).toBeUndefined();
  });

  it("that was refused is stored as soon as there is room", () => {
    const refuse = vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new DOMException("no room", "QuotaExceededError");
    });
    keep("device", "thing", 1);
    refuse.mockRestore();
    keep("device", "thing", 2);
    expect(localStorage.getItem("thing")).toBe("2");
    expect(kept("device", "thing")).toBe(2);
  });
});
