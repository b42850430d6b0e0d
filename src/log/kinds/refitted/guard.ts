import pluralize from "pluralize";
import { needToTouch } from "@/core/job/reassembly/touched";
import { issue } from "@/core/result";
import type { Guard } from "../../guard";
import { guardHands } from "../../guard-bench";

/** Only what came off, and is not back yet, can be put back; what was left out can be fitted after all. */
export const guard: Guard<"refitted"> = ({ line, count, how, taken }, view, _, context) => {
  const off = view.removed.find(({ seq }) => seq === line);
  if (!off)
    return [
      issue("payload.line", "guard/not-off", `Line ${line} took nothing off that could go back.`, line),
    ];
  const isLeftOut = off.refit?.how === "left-out";
  if (off.refit && (!isLeftOut || how === "left-out"))
    return [
      issue(
        "payload.line",
        "guard/back-already",
        `${off.what} is back already, by line ${off.refit.seq}: it was ticked by ${off.refit.by}.`,
        line,
      ),
    ];
  if (count !== null && !isLeftOut && count > off.left)
    return [
      issue(
        "payload.count",
        "guard/too-many",
        `${count} cannot go back: ${off.left} of ${off.count} ${pluralize(off.what, off.count)} are still off.`,
        count,
      ),
    ];
  // What is left out is touched by nobody.
  return how === "left-out" ? [] : guardHands(taken, view, needToTouch(off.sort), context);
};
