import type { Refitted } from "@/core/job/log/entry";
import type { KindWords } from "../../kind-words";

const REFIT: Readonly<Record<Refitted["how"], string>> = {
  back: "Back on",
  replaced: "New one fitted",
  "left-out": "Left out",
};

export const words: KindWords<"refitted"> = ({ how, line, count, why, carried }) => {
  const moved = carried.length > 0 ? `, moved over: ${carried.join(", ")}` : "";
  return `${REFIT[how]}${count === null ? "" : `, ${count} of them`} (line ${line})${why ? `: ${why}` : ""}${moved}`;
};
