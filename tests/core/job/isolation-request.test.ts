import { describe, expect, it } from "vitest";
import { createIsolator } from "@/core/isolation/isolate";
import { isolationRequest } from "@/core/job/isolation/isolation-request";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import { KNOWLEDGE, PARAMETERS } from "../shop-context";
import { CARDER, type Line, logOf, viewOf } from "./entries";

const TOOL_CONTEXT = { ...KNOWLEDGE, parameters: PARAMETERS, settings: DEFAULT_SETTINGS, counts: undefined };

function request(...lines: readonly Line[]) {
  const view = viewOf(logOf(["taken-in", CARDER], ...lines));
  return isolationRequest(
    view,
    { bench: view.bench, unsettled: ["plug"], withheld: { guardsOn: ["outlet"], measured: ["outlet"] } },
    TOOL_CONTEXT,
  );
}

describe("what lies open", () => {
  const opened = (access: string, is: string): Line => ["opened", { access, is }];
  const found = (...lines: readonly Line[]) => request(...lines).bench?.opened;

  it("is what was said, never what a name sounds like", () => {
    expect(found(opened("blender jar", "none"))).toEqual([]);
    expect(found(opened("my little door", "end-bell"))).toEqual(["end-bell"]);
    expect(found(opened("end bell", "none"))).toEqual([]);
  });

  it("is found by its exact name in lines of before it was asked", () => {
    expect(found(opened("blender jar", "not-said"))).toEqual([]);
    expect(found(opened("End bell", "not-said"))).toEqual(["end-bell"]);
  });

  it("is shut once it was closed", () => {
    expect(found(opened("hump", "capacitor-cover"), ["closed", { access: "hump" }])).toEqual([]);
  });
});

describe("the request", () => {
  it("is the same for the screen's last word and for the record: two steps ahead, up to three roots", () => {
    expect(request().options).toEqual({ lookAhead: 2, maxRoots: 3 });
  });

  it("understands an id that was renamed", () => {
    const { provenance } = KNOWLEDGE.moves[0] ?? {};
    if (!provenance) throw new Error("no moves");
    const aliases = [{ id: "spin-by-hand", now: "turn-shaft", provenance }];
    const machine = { family: "capacitor-start" };
    const asked = (moveId: string) => ({ machine, evidence: [{ seq: 1, moveId, outcomeId: "free" }] });
    const isolate = createIsolator({ ...KNOWLEDGE, aliases });
    expect(isolate(asked("spin-by-hand"))).toEqual(isolate(asked("turn-shaft")));
    expect(createIsolator(KNOWLEDGE)(asked("spin-by-hand")).ok).toBe(false);
  });
});
