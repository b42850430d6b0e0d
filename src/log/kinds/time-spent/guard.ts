import { issue } from "@/core/result";
import type { Guard } from "../../guard";

/** Time is counted upwards only; a correction takes off no more than there is. */
export const guard: Guard<"time-spent"> = ({ seconds, how }, { secondsSpent }) => {
  if (how === "counted" && seconds <= 0)
    return [
      issue(
        "payload.seconds",
        "guard/counted-back",
        "Counted time is more than nothing; a correction is typed.",
        seconds,
      ),
    ];
  if (secondsSpent + seconds >= 0) return [];
  const minutes = Math.floor(secondsSpent / 60);
  return [
    issue(
      "payload.seconds",
      "guard/less-than-nothing",
      `${-Math.round(seconds / 60)} min cannot be taken off: ${minutes} min are counted.`,
      seconds,
    ),
  ];
};
