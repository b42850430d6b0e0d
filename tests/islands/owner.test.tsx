import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { OwnerScreen } from "@/islands/owner/OwnerScreen";
import { SHOP } from "./job-fixture";

const OWNER = { id: 7, name: "Tansy Weavers", contact: "after noon", version: 2 };
const show = (owner = OWNER) => render(<OwnerScreen owner={owner} jobs={[]} shop={SHOP} />);
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const keep = () => fireEvent.click(screen.getByRole("button", { name: "Keep" }));

function serves(...answers: readonly (readonly [value: unknown, status: number])[]) {
  const sent: unknown[] = [];
  vi.stubGlobal("fetch", async (path: string, { body }: RequestInit = {}) => {
    if (!path.includes("/owners/")) return new Response('{"timers":[]}');
    sent.push(JSON.parse(String(body)));
    const [value, status] = answers[sent.length - 1] ?? [{}, 500];
    return new Response(JSON.stringify(value), { status });
  });
  return sent;
}

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("an owner's page", () => {
  it("keeps name and ways to reach them, and the next change goes on from there", async () => {
    const sent = serves(
      [{ ...OWNER, contact: "before eight", version: 3 }, 200],
      [{ ...OWNER, version: 4 }, 200],
    );
    show();
    type("Reached by", "before eight");
    keep();
    await screen.findByText("Kept.");
    type("Name", "Tansy Weaver");
    keep();
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent).toEqual([
      { name: "Tansy Weavers", contact: "before eight", version: 2 },
      { name: "Tansy Weaver", contact: "before eight", version: 3 },
    ]);
  });

  it("says when another device was quicker, keeps what was typed, and overwrites nothing that was not typed here", async () => {
    const stale = { issues: [{ path: "version", code: "stale/owner", message: "Changed meanwhile." }] };
    const sent = serves([stale, 409], [{ ...OWNER, version: 4 }, 200]);
    show();
    type("Name", "Tansy Weaver");
    keep();
    expect(await screen.findByText("Changed meanwhile.")).toBeTruthy();
    expect(screen.getByRole("button", { name: /Load it again/ })).toBeTruthy();
    cleanup();
    show({ ...OWNER, contact: "at the quay", version: 3 });
    expect(screen.getByLabelText("Name")).toHaveProperty("value", "Tansy Weaver");
    keep();
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toEqual({ name: "Tansy Weaver", contact: "at the quay", version: 3 });
  });
});
