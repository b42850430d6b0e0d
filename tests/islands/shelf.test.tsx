import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ShelfLine } from "@/core/matching/shelf.input";
import { ShelfScreen } from "@/islands/match/ShelfScreen";

const FUSE: ShelfLine = {
  id: "7d3f6c1e-8f1b-4b57-9a55-0f6f2c7c1a10",
  family: "fuse",
  familyTitle: "Fuse",
  label: "Fuse T2A L 250 V",
  said: [{ label: "Amps", value: "2 A" }],
  unstated: ["Body"],
  place: "Drawer A1",
  count: 3,
  priceMinor: 40,
  supplier: "Tern Quay counter",
  donor: null,
  version: 1,
};
const BRUSH: ShelfLine = {
  ...FUSE,
  id: "0b6a5b9e-2f0c-4d0e-8d57-6c1f8a1f7b21",
  family: "brush",
  familyTitle: "Brush pair",
  label: "Brush pair out of it",
  place: "Shelf 4",
  donor: { machine: "Hedge trimmer", tested: "" },
};

interface Waiting {
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
  answer(value: unknown, status?: number): void;
}

/** Every request waits until the test answers it. */
function served(): Waiting[] {
  const waiting: Waiting[] = [];
  vi.stubGlobal(
    "fetch",
    (path: string, { body }: RequestInit = {}) =>
      new Promise<Response>((resolve) => {
        waiting.push({
          path,
          body: typeof body === "string" ? (JSON.parse(body) as Record<string, unknown>) : {},
          answer: (value, status = 200) => resolve(new Response(JSON.stringify(value), { status })),
        });
      }),
  );
  return waiting;
}

const to = (waiting: readonly Waiting[], end: string): readonly Waiting[] =>
  waiting.filter(({ path }) => path.endsWith(end));
const moves = (waiting: readonly Waiting[]): readonly Waiting[] =>
  to(waiting, "/moves").filter(({ body }) => "reason" in body);
const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const shown = (): string => screen.getByRole("region", { name: "Fuse" }).textContent ?? "";

function opened(): Waiting[] {
  const waiting = served();
  render(<ShelfScreen parts={[FUSE, BRUSH]} currency="EUR" zone="Atlantic/Faroe" />);
  tap(/Fuse T2A/);
  return waiting;
}

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem("good-spindle:bench-name", "left bench");
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the shelf", () => {
  it("finds a part by the machine it is out of, and says what no job can take", () => {
    opened();
    expect(screen.getByText(/Not said: Body/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Find on the shelf"), { target: { value: "HEDGE" } });
    expect(screen.queryByRole("region", { name: "Fuse" })).toBeNull();
    tap(/Brush pair out of it/);
    expect(screen.getByText(/Not tested yet: no job can take it/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Find on the shelf"), { target: { value: "nothing" } });
    expect(screen.getByText("Nothing on the shelf is called “nothing”.")).toBeTruthy();
  });

  it("takes one tap at a time, and the next as soon as the first is answered", async () => {
    const waiting = opened();
    tap("Take out");
    tap("Take out");
    expect(moves(waiting)).toHaveLength(1);
    moves(waiting)[0]?.answer({ issues: [{ path: "", code: "shelf/too-few", message: "Too few." }] }, 422);
    await screen.findByText("Too few.");
    // The list is still on its way.
    expect(to(waiting, "/api/shelf")).toHaveLength(1);
    tap("Put in");
    await vi.waitFor(() => expect(moves(waiting)).toHaveLength(2));
    expect(moves(waiting).map(({ body }) => [body["count"], body["reason"], body["by"]])).toEqual([
      [-1, "taken-out", "left bench"],
      [1, "put-in", "left bench"],
    ]);
    expect(moves(waiting)[0]?.body["id"]).not.toBe(moves(waiting)[1]?.body["id"]);
  });

  it("shows the list that was asked for last, whichever comes last", async () => {
    const waiting = opened();
    const withCount = (count: number) => ({ parts: [{ ...FUSE, count }, BRUSH] });
    for (const count of [1, 2]) {
      tap("Put in");
      await vi.waitFor(() => expect(moves(waiting)).toHaveLength(count));
      moves(waiting)[count - 1]?.answer({ count: 3 + count });
      await vi.waitFor(() => expect(to(waiting, "/api/shelf")).toHaveLength(count));
    }
    const [early, late] = to(waiting, "/api/shelf");
    late?.answer(withCount(5));
    await vi.waitFor(() => expect(shown()).toMatch(/^Fuse5/));
    early?.answer(withCount(4));
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(shown()).toMatch(/^Fuse5/);
  });

  it("keeps the figures of a part only where its price can be read", async () => {
    const waiting = opened();
    fireEvent.change(screen.getByLabelText("Price of one, EUR"), { target: { value: "dear" } });
    tap("Keep");
    expect(screen.getByRole("alert").textContent).toContain("dear");
    expect(waiting.filter(({ body }) => "priceMinor" in body)).toEqual([]);
    fireEvent.change(screen.getByLabelText("Price of one, EUR"), { target: { value: "0,55" } });
    tap("Keep");
    await vi.waitFor(() =>
      expect(waiting.filter(({ body }) => "priceMinor" in body).map(({ body }) => body)).toEqual([
        expect.objectContaining({ priceMinor: 55, place: "Drawer A1", version: 1 }),
      ]),
    );
  });
});
