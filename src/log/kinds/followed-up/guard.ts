import { issue } from "@/core/result";
import type { Guard } from "../../guard";

export const guard: Guard<"followed-up"> = ({ line }, view) => {
  const promise = view.followUps.find(({ seq }) => seq === line);
  if (!promise)
    return [issue("payload.line", "guard/no-promise", `Line ${line} is nothing to look at again.`, line)];
  if (!promise.done) return [];
  return [
    issue(
      "payload.line",
      "guard/done-already",
      `Line ${line} was looked at again already, by line ${promise.done.seq}, ${promise.done.by}.`,
      line,
    ),
  ];
};
