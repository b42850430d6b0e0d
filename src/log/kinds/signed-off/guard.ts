import pluralize from "pluralize";
import type { OffLine } from "@/core/job/reassembly/reassembly";
import { issue } from "@/core/result";
import type { Guard } from "../../guard";

/** @example "wave washer (line 7)", "2 of 4 screws (line 9)" */
function missing({ what, seq, count, left }: OffLine): string {
  return count > 1 ? `${left} of ${count} ${pluralize(what)} (line ${seq})` : `${what} (line ${seq})`;
}

export const guard: Guard<"signed-off"> = (_, view) => {
  const off = view.removed.filter(({ refit }) => refit === null);
  if (off.length === 0) return [];
  return [
    issue(
      "payload",
      "guard/parts-off",
      `It cannot leave yet, not back: ${off.map(missing).join(", ")}. Put it back, or say that it is left out and why.`,
      off.map(({ seq }) => seq),
    ),
  ];
};
