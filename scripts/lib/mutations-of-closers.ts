import { type Mutation, m } from "./mutation";

const FOLD = "src/core/safety/dangers/fold-dangers.ts";
const STRIKES = "src/log/energies.ts";

/** What closes a danger, each broken once. */
export const CLOSERS: readonly Mutation[] = [
  m(
    "closed by the same test, once the remedy is made",
    FOLD,
    "closedBy: danger.remediedBy > 0 || isMistake ? seq : null",
    "closedBy: seq",
  ),
  m(
    "closed as misread only by two good readings",
    FOLD,
    "PASSES_OF_A_MISTAKE = 2",
    "PASSES_OF_A_MISTAKE = 1",
  ),
  m(
    "closed as misread only with nothing worked on between",
    FOLD,
    "passes: 0, remediedBy: isRemedy ? seq : before",
    "remediedBy: isRemedy ? seq : before",
  ),
  m(
    "closed by a run only once the remedy is made",
    FOLD,
    "|| danger.remediedBy === 0) return danger",
    ") return danger",
  ),
  m(
    "closed only by a run as long as it was told to take",
    FOLD,
    "minutes > 0 && minutes >= danger.runMinutes &&",
    "minutes > 0 &&",
  ),
  m(
    "closed only by a clean run; any other takes the remedy back",
    FOLD,
    "if (!isClean) return { ...danger, remediedBy:",
    "if (!isClean) return danger;\n  if (!isClean) return { ...danger, remediedBy:",
  ),
  m(
    "remedied only by a repair of what was found",
    FOLD,
    "return spoils.includes(remedy.spoils);",
    "return true;",
  ),
  m(
    "remedied only by the fault that was proved",
    FOLD,
    "return remedy.faults.some((id) => mends.includes(id));",
    "return true;",
  ),
  m(
    "remedied only at the station it was seen at",
    FOLD,
    "return remedy.stations.some((id) => stations.includes(id));",
    "return true;",
  ),
  m(
    "remedied by no repair that is struck out",
    FOLD,
    '!isStruck && event.on === "repair"',
    'event.on === "repair"',
  ),
  m("what was read before a strike is no answer to it", FOLD, "seq > danger.struckBy ?", "seq > 0 ?"),
  m(
    "a strike does not give a remedy back that a failed test took",
    FOLD,
    "if (danger.struckBy === 0 && !isTakenBack) return danger;",
    "if (danger.struckBy === 0) return danger;",
  ),
  m("a run before a strike closes nothing", FOLD, " && seq > danger.remediedBy;", ";"),
  m("a finding explains only what it can do", FOLD, "if (!isReason) return danger;", ""),
  m(
    "a run made without its grant closes nothing",
    "src/log/kinds/acceptance-run/energy.ts",
    'isClean && taken === "afterwards" ? []',
    "!isClean && isClean ? []",
  ),
  m(
    "a leakage read without its grant closes nothing",
    "src/log/kinds/reading/energy.ts",
    "...(isWorthless ? [] :",
    "...(isWorthless && false ? [] :",
  ),
  m(
    "a struck line keeps what it took away",
    STRIKES,
    "isSlip(entry, strike, own) ? [] : own.flatMap(leftOf)",
    "isSlip(entry, strike, own) ? [] : []",
  ),
  m(
    "a shock, smoke, water or a trip is never a slip",
    STRIKES,
    '(event.event === "danger" && isNeverMistaken(event.kind))',
    "false",
  ),
];
