import { type Mutation, m } from "./mutation";

const WORD = "src/core/job/sign-off/sign-off.ts";

/** Rules of what may be said of a machine. */
export const WORDS: readonly Mutation[] = [
  m(
    "a run made without its grant never counts for repaired",
    WORD,
    "seq > view.lastChangeSeq && !view.live.withoutGrant.includes(seq)",
    "seq > view.lastChangeSeq",
  ),
  m(
    "a failed run and a clean one with nothing done between is not explained",
    WORD,
    'since.some(({ result }) => result !== "gone") ? ["run-not-explained"] : []',
    'since.some(({ result }) => result !== "gone") ? [] : []',
  ),
  m(
    "a run is taken back by what stalls or hurts after it",
    WORD,
    'if (view.live.stalledSeq > last.seq) return ["run-taken-back"];',
    "",
  ),
  m(
    "a run is as long as what it claims",
    WORD,
    "return minutes * 60 >= limitOf(limits, LEAST[circumstance]).value;",
    "return minutes * 60 >= limitOf(limits, LEAST[circumstance]).value * 0;",
  ),
  m(
    "a run counts no longer than power was on",
    "src/core/safety/power-clock.ts",
    "return Math.min(minutes, Math.max(0, elapsed) + ROUNDING);",
    "return minutes + 0 * elapsed;",
  ),
  m("a danger that forbids use is “do not use”", WORD, "if (isForbidden ||", "if ("),
  m("“repaired” is not said while a danger keeps it back", WORD, "...dangerCodes(view),", ""),
];
