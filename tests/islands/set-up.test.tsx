import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import { readSetUp, useSetUp } from "@/islands/set-up/use-set-up";
import type { StoredSettings } from "@/wire/shop";

const STORED: StoredSettings = {
  value: { ...DEFAULT_SETTINGS, shopName: "Tern Quay Mending Room", currency: "EUR", labourRateMinor: 2800 },
  version: 4,
};

/** The server answers once, as it is told to; what it was sent is kept. */
function serves(answer: unknown, status = 200) {
  const sent: { body?: { value: StoredSettings["value"]; version: number } } = {};
  vi.stubGlobal("fetch", async (_: string, { body }: RequestInit = {}) => {
    sent.body = JSON.parse(String(body));
    return new Response(JSON.stringify(answer), { status });
  });
  return sent;
}
const setUp = (stored = STORED) => renderHook(() => useSetUp(stored));

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("Set-up", () => {
  it("shows figures as they are typed and keeps them as numbers, a comma read as the point", async () => {
    const sent = serves({ value: { ...STORED.value, volts: 120, labourRateMinor: 3150 }, version: 5 });
    const { result } = setUp();
    expect(result.current.draft).toMatchObject({ labourRate: "28.00", volts: String(STORED.value.volts) });
    act(() => result.current.set({ volts: "120", labourRate: "31,50" }));
    await act(() => result.current.keep());
    expect(sent.body).toMatchObject({ version: 4, value: { volts: 120, labourRateMinor: 3150 } });
    expect(result.current.told).toEqual({ text: "Kept.", isBad: false });
    expect(result.current.draft.labourRate).toBe("31.50");
  });

  it.each([
    ["volts", "a lot"],
    ["volts", ""],
    ["labourRate", "twenty"],
    ["taxPercent", "-3"],
  ] as const)(
    "names %s that cannot be read (%s), asks nobody, and loses nothing typed",
    async (field, text) => {
      const sent = serves({});
      const { result } = setUp();
      act(() => result.current.set({ [field]: text }));
      expect(result.current.problemOf(field)).toBeTruthy();
      await act(() => result.current.keep());
      expect(sent.body).toBeUndefined();
      expect(result.current.told?.isBad).toBe(true);
      expect(result.current.draft[field]).toBe(text);
    },
  );

  it("says why the shop refused, and what was typed is there after a reload", async () => {
    serves({ issues: [{ path: "version", code: "stale/settings", message: "Changed meanwhile." }] }, 409);
    const first = setUp();
    act(() => first.result.current.set({ shopName: "The Net Loft" }));
    await act(() => first.result.current.keep());
    expect(first.result.current.told).toEqual({ text: "Changed meanwhile.", isBad: true });
    first.unmount();
    expect(setUp().result.current.draft.shopName).toBe("The Net Loft");
  });

  it("never puts back what another device has changed: only what was typed here is sent", async () => {
    const first = setUp();
    act(() => first.result.current.set({ shopName: "The Net Loft" }));
    first.unmount();
    const since: StoredSettings = { value: { ...STORED.value, taxPercent: 20 }, version: 5 };
    const sent = serves({ value: since.value, version: 6 });
    const { result } = setUp(since);
    await act(() => result.current.keep());
    expect(sent.body).toMatchObject({ version: 5, value: { shopName: "The Net Loft", taxPercent: 20 } });
  });

  it("reads no rate in a currency that is still being typed", () => {
    const { result } = setUp();
    act(() => result.current.set({ currency: "EU" }));
    expect(readSetUp(result.current.draft).issues.map(({ path }) => path)).toEqual(["currency"]);
  });
});
