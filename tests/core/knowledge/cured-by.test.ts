import { describe, expect, it } from "vitest";
import { curedBy } from "@/core/knowledge/cured-by";
import { currentVersion, readPayload } from "@/log/read-payload";

import { KNOWLEDGE } from "../shop-context";

const of = (family: string) => KNOWLEDGE.faults.filter(({ families }) => families.includes(family));
const repair = (id: string) => KNOWLEDGE.repairs.find((one) => one.id === id) ?? { id };

describe("what a repair has put right", () => {
  it("another motor: everything inside it, and nothing in front of it", () => {
    const { faultIds } = curedBy(repair("fit-motor"), of("permanent-split-capacitor"));
    for (const id of ["bearing-stiff", "bearing-seized", "winding-shorted", "rotor-rub", "thermal-fuse-open"])
      expect(faultIds).toContain(id);
    for (const id of ["run-capacitor-low", "switch-open", "cord-broken", "load-jammed", "vents-blocked"])
      expect(faultIds).not.toContain(id);
  });

  it("a rung of the ladder counts where it cures more often than not", () => {
    const faults = of("shaded-pole");
    expect(curedBy(repair("fit-bearings"), faults).faultIds).toContain("bearing-stiff");
    expect(curedBy(repair("fit-fan"), faults).faultIds).not.toContain("vents-blocked");
  });

  it("is as sure as the least sure of what it is usually done for", () => {
    expect(curedBy(repair("clean-and-oil"), of("shaded-pole")).success).toBe(0.88);
    expect(curedBy({ id: "none-such" }, of("shaded-pole"))).toEqual({ faultIds: [], success: 1 });
  });

  it("can be written down of every motor there is, also of one whose kind is not known", () => {
    for (const family of KNOWLEDGE.families)
      for (const row of KNOWLEDGE.repairs) {
        const faults = family.id === "not-known" ? KNOWLEDGE.faults : of(family.id);
        const payload = {
          repair: row.id,
          label: row.done,
          ...curedBy(row, faults),
          seen: null,
          part: "none",
          taken: "afterwards",
        };
        const read = readPayload("intervention", payload, currentVersion("intervention"));
        expect(read.ok ? [] : read.issues, `${row.id} on ${family.id}`).toEqual([]);
      }
  });
});
