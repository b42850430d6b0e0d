import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { exactly } from "@/core/decision/spread";
import type { DonorHere } from "@/core/matching/donor-here";
import { DonorsHere } from "@/islands/decide/DonorsHere";
import { $job } from "@/islands/state/job";
import { caseOf, causeOf, endOf, wayOf } from "../core/decision/cases";
import { KNOWLEDGE } from "../core/shop-context";
import { jobOf, payloads, posted } from "./job-fixture";

const donor: DonorHere = {
  repair: "fit-run-capacitor",
  label: "Run capacitor 20 μF",
  place: "Under the back bench",
  machine: "ice-cream churn, its tub leaking",
  tested: "19.6 μF on the bench meter",
  priceMinor: 980,
  fit: "note",
  first: "Look it over.",
};
const caseWith = (chance: number) =>
  caseOf(
    [causeOf("fit-run-capacitor", chance, wayOf("repair", "fit-run-capacitor", 20, 1100, 0.9))],
    [],
    20_000,
    { ends: [{ ...endOf("replace", 20_000), cash: exactly(20_000) }] },
  );

function shown(change: Partial<DonorHere> = {}, chance = 0.4) {
  const job = jobOf("permanent-split-capacitor");
  const bodies = posted(job);
  render(
    <DonorsHere
      job={job}
      donors={[{ ...donor, ...change }]}
      options={caseWith(chance)}
      names={KNOWLEDGE}
      currency="EUR"
    />,
  );
  return bodies;
}

beforeEach(() => localStorage.setItem("good-spindle:bench-name", "left bench"));
afterEach(() => {
  cleanup();
  $job.set(null);
  vi.unstubAllGlobals();
});

describe("a part of a machine kept for parts", () => {
  it("is weighed at its price on the shelf", async () => {
    const bodies = shown();
    expect(screen.getByTestId("donors-here").textContent).toContain("Tested: 19.6 μF on the bench meter.");
    fireEvent.click(screen.getByRole("button", { name: "Weigh it at €9.80" }));
    await vi.waitFor(() =>
      expect(payloads(bodies, "priced")).toEqual([{ of: "donor:fit-run-capacitor", minor: 980 }]),
    );
  });

  it("is matched before it is weighed where it is not known to fit, and where nothing was tested on it", () => {
    shown({ fit: "open", tested: "" });
    expect(screen.queryByRole("button")).toBeNull();
    expect(screen.getByRole("link", { name: "Match it first" }).getAttribute("href")).toMatch(/\/match$/);
    expect(screen.getByText(/Nothing was tested on it/)).toBeDefined();
  });

  it("is not spoken of where its repair is hardly the cure", () => {
    shown({}, 0.02);
    expect(screen.queryByTestId("donors-here")).toBeNull();
  });
});
