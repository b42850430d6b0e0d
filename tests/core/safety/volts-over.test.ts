import { expect, it } from "vitest";
import { parseReading } from "@/core/quantity/parse-reading";
import { benchSummary } from "@/core/safety/bench-summary";
import type { CompletionContext } from "@/log/completion";
import type { Said } from "@/log/kind-words";
import { complete } from "@/log/kinds/bench-state/complete";
import { words } from "@/log/kinds/bench-state/words";
import { benchWords } from "@/words/bench-state";
import { type Line, logOf, OUT, T0, viewOf } from "../job/entries";
import { LIMITS } from "../shop-context";
import { read, START } from "./promise-lines";

it("volts over the meter's range are a charge whatever was read before, and no figure is printed for them", async () => {
  const before: readonly Line[] = [...START, ["bench-state", OUT], read(0.2)];
  const reading = parseReading("OL", "voltage");
  if (!reading.ok) throw new Error("OL is a reading");
  const view = viewOf(logOf(...before));
  const now = new Date(T0 + 5 * 60_000).toISOString();
  const kept = await complete({ event: "stored-volts", id: "start", volts: reading.value.reading }, {
    view,
    now,
    shop: { limits: LIMITS },
  } as CompletionContext);
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
  const { payload } = kept.value;
  const { bench, machine } = viewOf(logOf(...before, ["bench-state", payload]));
  expect(bench.keepsOut).toEqual(["charged"]);
  expect(benchWords(benchSummary(bench, machine, now, LIMITS)).words).toBe(
    "Unplugged, still OL on a capacitor",
  );
  expect(words(payload, {} as Said)).toBe("OL read on the start capacitor");
});
