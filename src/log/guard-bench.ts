import { liveFactsOf } from "@/core/job/live-facts";
import type { JobView } from "@/core/job/log/view";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import { type Issue, issue } from "@/core/result";
import { gapsFor } from "@/core/safety/bench-gaps";
import { asSeen } from "@/core/safety/bench-state";
import { liveGaps } from "@/core/safety/live-work";
import { isPlugFresh } from "@/core/safety/plug-watch";
import { BENCH_GAP_WORDS, LIVE_GAP_WORDS } from "@/words/gaps";
import type { Guard, GuardContext } from "./guard";

function benchAt(view: JobView, { by, now, watch, limits }: GuardContext) {
  return asSeen(view.bench, isPlugFresh(view.plugFacts, watch, by, now, limits));
}

/** Live work is earned: what is missing for power now, and how to get there. */
export function guardLive(view: JobView, power: PowerUse, context: GuardContext): readonly Issue[] {
  const gaps = liveGaps(liveFactsOf(view, benchAt(view, context), context.live), power);
  if (gaps.length === 0) return [];
  const toDo = gaps.map((gap) => `${LIVE_GAP_WORDS[gap].what} ${LIVE_GAP_WORDS[gap].how}`).join(" ");
  return [
    issue(
      "payload",
      "guard/live-work",
      `${toDo} If it was done already, without that, keep it as "entered afterwards": it is written down as it was.`,
      gaps,
    ),
  ];
}

/** What hands do now needs the bench state that it asks for; what was done already can always be kept. */
export function guardHands(
  taken: "now" | "afterwards",
  view: JobView,
  need: BenchNeed,
  context: GuardContext,
): readonly Issue[] {
  if (taken === "afterwards") return [];
  const { now, limits } = context;
  const gaps = gapsFor(benchAt(view, context), need, view.machine, now, limits);
  if (gaps.length === 0) return [];
  const toDo = gaps.map((gap) => BENCH_GAP_WORDS[gap]).join("; ");
  return [
    issue(
      "payload",
      "guard/bench-state",
      `The bench state does not allow this yet: ${toDo}. If it was done already, keep it as "entered afterwards".`,
      gaps,
    ),
  ];
}

/** The same for a reading or an answer, which may have power on. */
export const guardBench: Guard<"reading" | "answer"> = (payload, view, _, context) => {
  if (payload.taken === "afterwards") return [];
  if (context.power !== "off") return guardLive(view, context.power, context);
  return guardHands(payload.taken, view, context.need, context);
};
