import { ofKind } from "@/core/job/log/lines";
import { isProtective } from "@/core/job/reassembly/protective";
import type { LineEvent } from "@/core/safety/energy-event";
import { fittedTest } from "../../carried.input";
import { type EnergyContext, type EnergyOf, protectionTests } from "../../energy-of";
import { workOn } from "../../work-on";

/** What a protection that was off can have spoilt, and the test that is its own. */
function triedAgain(protects: string, context: EnergyContext): readonly LineEvent[] {
  const row = context.protections.get(protects);
  if (!row) return [];
  return [
    ...(row.spoils.length > 0
      ? [{ event: "worked", spoils: row.spoils, on: "parts", mends: [], stations: [] } as const]
      : []),
    ...protectionTests(row),
  ];
}

/** What went back spoils what its coming off could; a protection that did not is a danger until all of it has. */
export const energy: EnergyOf<"refitted"> = ({ line, how, count, protects }, context, earlier) => {
  const off = earlier.find(({ seq }) => seq === line);
  if (off?.kind !== "removed") return [];
  const { payload } = off;
  const test = `line:${line}`;
  const back = [...ofKind(earlier, "refitted").map((one) => one.payload), { line, how, count }]
    .filter((one) => one.line === line && one.how !== "left-out")
    .reduce((sum, one) => sum + (one.count ?? payload.count), 0);
  if (how === "left-out")
    return [
      ...workOn(payload.sort),
      ...(isProtective(protects, payload)
        ? [{ event: "danger", kind: "left-out", place: test, remedies: [], test } as const]
        : []),
    ];
  return [
    ...workOn(payload.sort),
    ...triedAgain(protects, context),
    ...(back >= payload.count ? [{ event: "tested", tests: [test, fittedTest(payload.what)] } as const] : []),
  ];
};
