import type { DeadCheckReading, ToolReading } from "@/core/job/log/entry";
import { latestBy, type Placed } from "@/core/job/log/lines";
import { fold, type Line } from "../../view-part";

const ofTools = (lines: readonly Line<"reading">[]) =>
  lines.filter((one): one is ToolReading & Placed => one.of === "tool");
const ofChecks = (lines: readonly Line<"reading">[]) =>
  lines.filter((one): one is DeadCheckReading & Placed => one.of === "dead-check");

type Told = ToolReading["finding"]["evidence"][number] & { readonly seq: number };

export const view = {
  readings: fold<"reading", readonly (ToolReading & Placed)[]>([], ofTools),
  /** The last answer of each dead check. */
  deadChecks: fold<"reading", readonly (DeadCheckReading & Placed)[]>([], (lines) =>
    latestBy(ofChecks(lines), ({ checkId }) => checkId),
  ),
  evidence: fold<"reading", readonly Told[]>([], (lines) =>
    ofTools(lines).flatMap(({ seq, finding }) => finding.evidence.map((one) => ({ ...one, seq }))),
  ),
};
