import { formatDuration } from "@/core/quantity/format";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"timer-started"> = ({ what, seconds }) =>
  `Timer, ${what.replace("-", " ")}: ${formatDuration(seconds)}`;
