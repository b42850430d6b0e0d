import { issue } from "@/core/result";
import { asSeen, type BenchGap, gapsFor, isPlugFresh } from "@/core/safety/bench-state";
import type { Guard } from "./guard";

const GAP_WORDS: Readonly<Record<BenchGap, string>> = {
  plug: "say where the plug is",
  battery: "take the battery out",
  charge: "read the volts on each capacitor, or leave the clip on",
  springs: "hold the springs",
  "lifted-load": "prop the lifted load",
  belt: "hold the belt",
};

/** What is kept as done now needs the bench state that its move asks for; what was done already can always be kept. */
export const guardBench: Guard<"reading" | "answer"> = (payload, view, _, context) => {
  if (payload.taken === "afterwards") return [];
  const isFresh = isPlugFresh(view.plugFacts, context.watch, context.by, context.now, context.limits);
  const gaps = gapsFor(asSeen(view.bench, isFresh), context.need, view.machine, context.now, context.limits);
  if (gaps.length === 0) return [];
  const toDo = gaps.map((gap) => GAP_WORDS[gap]).join("; ");
  return [
    issue(
      "payload",
      "guard/bench-state",
      `The bench state does not allow this reading yet: ${toDo}. If it was taken already, keep it as "entered afterwards".`,
      gaps,
    ),
  ];
};
