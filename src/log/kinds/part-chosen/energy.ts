import type { LineEvent } from "@/core/safety/energy-event";
import type { EnergyOf } from "../../energy-of";

/** The choice for a place is weighed anew; one that is in for a while is open until the next. */
export const energy: EnergyOf<"part-chosen"> = ({ forPart, fit }) => {
  const [again, next] = [`choice:${forPart}`, `next:${forPart}`];
  const opened: readonly LineEvent[] =
    fit === "temporary"
      ? [{ event: "danger", kind: "temporary", place: forPart, remedies: [], test: next }]
      : [];
  return [{ event: "tested", tests: [again, ...(fit === "temporary" ? [] : [next])] }, ...opened];
};
