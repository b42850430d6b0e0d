import { ofKind } from "@/core/job/log/lines";
import { isProtective } from "@/core/job/reassembly/protective";
import type { DangerEvent } from "@/core/safety/energy-event";
import { fittedTest } from "../../carried.input";
import type { EnergyOf } from "../../energy-of";
import { workOn } from "../../work-on";

/** What went back spoils what its coming off could; a protection that did not is a danger until all of it has. */
export const energy: EnergyOf<"refitted"> = ({ line, how, count }, _, earlier) => {
  const off = earlier.find(({ seq }) => seq === line);
  if (off?.kind !== "removed") return [];
  const { payload } = off;
  const test = `line:${line}`;
  const back = [...ofKind(earlier, "refitted").map((one) => one.payload), { line, how, count }]
    .filter((one) => one.line === line && one.how !== "left-out")
    .reduce((sum, one) => sum + (one.count ?? payload.count), 0);
  const isLeftOut = how === "left-out" && isProtective(payload);
  const spoke: readonly DangerEvent[] = isLeftOut
    ? [{ event: "danger", kind: "left-out", place: test, remedies: [], test }]
    : back >= payload.count
      ? [{ event: "tested", tests: [test, fittedTest(payload.what)] }]
      : [];
  return [...workOn(payload.sort), ...spoke];
};
