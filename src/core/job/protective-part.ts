import type { Repair } from "../knowledge/types";
import type { JobView } from "./log/view";

/** Families whose parts protect: the wrong one is worse than the fault. */
const PROTECTIVE: ReadonlySet<string> = new Set(["fuse", "protector", "cord", "motor", "capacitor"]);

/** Whether a repair fits a part that protects, so that its rating and kind are asked. */
export function fitsProtectivePart({ partFamily }: Pick<Repair, "partFamily">): boolean {
  return partFamily !== undefined && PROTECTIVE.has(partFamily);
}

/** Whether the part of a repair went through Match. */
export function isMatched({ forPart }: Pick<Repair, "forPart">, { parts }: Pick<JobView, "parts">): boolean {
  return forPart !== undefined && parts.some((part) => part.forPart === forPart);
}
