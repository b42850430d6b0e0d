import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { FaultPage } from "@/islands/knowledge/FaultPage";
import { KNOWLEDGE } from "../core/shop-context";

afterEach(cleanup);

const named = (rows: readonly { readonly id: string; readonly label: string }[]) =>
  Object.fromEntries(rows.map(({ id, label }) => [id, label]));

function show(id: string): void {
  const fault = KNOWLEDGE.faults.find((one) => one.id === id);
  if (!fault) throw new Error(`there is no fault ${id}`);
  const names = {
    stations: named(KNOWLEDGE.stations),
    families: named(KNOWLEDGE.families),
    repairs: named(KNOWLEDGE.repairs),
    faults: named(KNOWLEDGE.faults),
    moves: Object.fromEntries(KNOWLEDGE.moves.map((move) => [move.id, move])),
  } as unknown as Parameters<typeof FaultPage>[0]["names"];
  render(<FaultPage fault={fault} names={names} askedBy={[]} />);
}

describe("a fault's page", () => {
  it("says each way in which it shows, with its share by kind of motor", () => {
    show("bearing-stiff");
    const modes = screen.getAllByTestId("mode").map(({ textContent }) => textContent ?? "");
    expect(modes).toHaveLength(3);
    expect(modes[1]).toMatch(/^stands, share of its cases 0\.15;.*Shaded pole 0\.75/);
    expect(modes[1]).toContain("Always: stalls is yes.");
  });

  it("says where what it leads to differs by kind of motor", () => {
    show("bearing-seized");
    const leads = screen.getByRole("region", { name: "What it leads to, with the chance that it does" });
    expect(leads.textContent).toMatch(/Fuse open 0\.3; Shaded pole 0\.02/);
  });
});
