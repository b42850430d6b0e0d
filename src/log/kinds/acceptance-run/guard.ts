import { isWhole } from "@/core/job/reassembly/put-back";
import { issue } from "@/core/result";
import type { Guard } from "../../guard";
import { guardLive } from "../../guard-bench";

/** No run before all is back, the covers are on and power is earned; a run made already, or one that failed, can always be written down. */
export const guard: Guard<"acceptance-run"> = ({ taken, result }, view, _, context) => {
  if (taken === "afterwards" || result !== "gone") return [];
  if (isWhole(view)) return guardLive(view, "guards-on", context);
  const open = view.bench.opened.map((access) => `close the ${access}`);
  const off = view.removed.filter(({ refit }) => refit === null).map(({ what }) => `put back: ${what}`);
  return [
    issue(
      "payload",
      "guard/not-whole",
      `Covers come on before power: ${[...open, ...off].join("; ")}. If it was run already, keep it as "entered afterwards".`,
      [...open, ...off],
    ),
  ];
};
