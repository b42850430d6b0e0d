import type { FollowedUp } from "@/core/job/log/entry";
import type { KindWords } from "../../kind-words";

const FOLLOWED: Readonly<Record<FollowedUp["result"], string>> = {
  good: "Looked again, still good",
  "came-back": "Looked again, it came back",
  "let-go": "Not looked at again",
};

export const words: KindWords<"followed-up"> = (payload) =>
  `${FOLLOWED[payload.result]} (line ${payload.line})${payload.words ? `: ${payload.words}` : ""}`;
