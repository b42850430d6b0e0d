import type { KindWords } from "../../kind-words";

export const words: KindWords<"time-spent"> = ({ seconds, how, why }) => {
  const minutes = Math.round(Math.abs(seconds) / 60);
  const what =
    how === "counted"
      ? `At the bench: ${minutes} min`
      : `Time ${seconds < 0 ? "taken off" : "added"}: ${minutes} min`;
  return why === "" ? what : `${what}, ${why}`;
};
