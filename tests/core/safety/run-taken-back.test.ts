import { expect, it } from "vitest";
import { type Line, ran } from "../job/entries";
import { answer, CHECKED, FIT, PLUGGED, START, told, wordOf } from "./promise-lines";

it("a run is taken back by whatever stalls, smokes or trips after it", () => {
  const done: readonly Line[] = [...START, FIT, ...CHECKED, PLUGGED, ran()];
  expect(wordOf(...done).word).toBe("repaired");
  expect(wordOf(...done, told({ signs: ["hum"] })).unproven).toContain("run-taken-back");
  expect(wordOf(...done, told({ signs: ["hum"] }), ran()).word).toBe("repaired");
  const withdrawn: readonly Line[] = [
    ...done,
    told({ signs: ["hum"] }),
    ["struck", { seq: done.length + 1, why: "", reason: "typed-wrongly" }],
  ];
  expect(wordOf(...withdrawn).unproven).toContain("run-taken-back");
  expect(wordOf(...done, answer("switch-on", "hums-still", "afterwards")).unproven).toContain(
    "run-taken-back",
  );
  expect(wordOf(...done, ["bench-state", { event: "incident", what: "smoke" }])).toMatchObject({
    word: "do-not-use",
  });
});
