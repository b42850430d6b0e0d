import { describe, expect, it } from "vitest";
import { orderList, orderText } from "@/core/job/order-list";
import { CARDER, type Line, logOf, viewOf } from "./entries";

const ordered = (
  part: string,
  from: string,
  state: "ordered" | "arrived" | "cancelled" = "ordered",
): Line => ["order-linked", { part, from, state, expectedOn: null }];
const job = (...lines: readonly Line[]) => viewOf(logOf(["taken-in", CARDER], ...lines));

describe("what is on order", () => {
  const lines = orderList([
    job(ordered("Run capacitor 8 μF", "Tern Quay counter"), ordered("Belt Z 700 mm", "Ropewalk stores")),
    job(
      ordered("2 × Insulated tabs", "Tern Quay counter"),
      ordered("Fuse T 2 A", "Tern Quay counter", "arrived"),
    ),
  ]);

  it("stands by who sends it, without what has come or is not coming", () => {
    expect(lines.map(({ part }) => part)).toEqual([
      "Belt Z 700 mm",
      "Run capacitor 8 μF",
      "2 × Insulated tabs",
    ]);
  });

  it("is sent as text, a block for each who sends, a line for each part with its job", () => {
    expect(orderText(lines).split("\n\n")).toEqual([
      "Ropewalk stores\nBelt Z 700 mm  (job 118, Wool carder)",
      "Tern Quay counter\nRun capacitor 8 μF  (job 118, Wool carder)\n2 × Insulated tabs  (job 118, Wool carder)",
    ]);
  });
});
