import { INCIDENTS } from "../../knowledge/move-page.input";
import { TOLD, type Told } from "../../knowledge/told";
import type { DangerEvent, Worked } from "../energy-event";
import { type Danger, type DangerKind, isItsOwnRemedy, isNeverMistaken, type Remedy, RUN } from "./danger";

/** Twice the same good reading, before a struck one is taken for a mistake. */
const PASSES_OF_A_MISTAKE = 2;

/** What each told danger is a case of, as a finding explains it. */
const CASE_OF: Readonly<Record<Told, string>> = {
  "told-trip": "trip",
  "told-residual-trip": "residual-trip",
  "told-smoke": "smoke",
  "told-tingle": "tingle",
  "told-water": "water",
  "told-runs-on": "runs-on",
};

function isTold(kind: DangerKind): kind is Told {
  return TOLD.some((one) => one === kind);
}

function hasHappened(kind: DangerKind): boolean {
  return INCIDENTS.some((one) => one === kind);
}

const isOpen = ({ closedBy }: Danger): boolean => closedBy === null;

/**
 * What is open, after a line that opened it anew and was struck out: that line takes nothing from one that stands, and
 * the remedy that it took back is not given back by a strike. The same test after it decides.
 */
function openedInVain(danger: Danger, struckBy: number): Danger {
  const isTakenBack = danger.remediedBy > 0 && !isTold(danger.kind) && !isItsOwnRemedy(danger.kind);
  if (danger.struckBy === 0 && !isTakenBack) return danger;
  const remediedBy = isTakenBack ? 0 : danger.remediedBy;
  return { ...danger, remediedBy, passes: 0, struckBy: Math.max(danger.struckBy, struckBy) };
}

/** What happens twice is two; what is read or told again is the same danger, opened anew. */
function opened(
  dangers: readonly Danger[],
  { kind, place, remedies, test, isMended, afterMinutes = 0 }: Extract<DangerEvent, { event: "danger" }>,
  seq: number,
  struckBy: number,
): readonly Danger[] {
  const isSame = (one: Danger): boolean => isOpen(one) && one.kind === kind && one.place === place;
  const same = hasHappened(kind) ? undefined : dangers.find(isSame);
  if (same && struckBy > 0) return dangers.map((one) => (one === same ? openedInVain(one, struckBy) : one));
  // Told once more, in other words, it is as it was: what was found and mended since stays.
  if (same && isTold(kind)) {
    const again: Danger = { ...same, struckBy, runMinutes: Math.max(same.runMinutes, afterMinutes) };
    return dangers.map((one) => (one === same ? again : one));
  }
  const fresh: Danger = {
    kind,
    place,
    openedBy: seq,
    remedies,
    test,
    remediedBy: isItsOwnRemedy(kind) || isMended ? seq : 0,
    runMinutes: afterMinutes,
    passes: 0,
    struckBy,
    closedBy: null,
  };
  return [...dangers.filter((one) => one !== same), fresh];
}

function isMade(remedy: Remedy, { mends, stations, spoils }: Worked): boolean {
  if (remedy === "any-repair") return mends.length > 0;
  if ("faults" in remedy) return remedy.faults.some((id) => mends.includes(id));
  if ("stations" in remedy) return remedy.stations.some((id) => stations.includes(id));
  return spoils.includes(remedy.spoils);
}

function worked(danger: Danger, event: Worked, seq: number, isStruck: boolean): Danger {
  if (!isOpen(danger)) return danger;
  const isRemedy =
    !isStruck && event.on === "repair" && danger.remedies.some((remedy) => isMade(remedy, event));
  // It was away: whatever was mended before, nobody saw it run.
  const wasAway = event.on === "reopened" && danger.test === RUN;
  const before = wasAway ? 0 : danger.remediedBy;
  return { ...danger, passes: 0, remediedBy: isRemedy ? seq : before };
}

/** The same test, passed: after the remedy it closes, and twice after the strike without one where it was struck out as misread. */
function tested(danger: Danger, tests: readonly string[], seq: number): Danger {
  if (!isOpen(danger) || danger.test === RUN || !tests.includes(danger.test)) return danger;
  // What was read before the strike was no answer to it.
  const passes = seq > danger.struckBy ? danger.passes + 1 : danger.passes;
  const isMistake = danger.struckBy > 0 && !isNeverMistaken(danger.kind) && passes >= PASSES_OF_A_MISTAKE;
  return { ...danger, passes, closedBy: danger.remediedBy > 0 || isMistake ? seq : null };
}

/**
 * A clean run that is long enough closes what was mended; anything but clean takes the remedy back. Struck out, it gives
 * the remedy back for runs that are made after the strike.
 */
function ran(
  danger: Danger,
  { isClean, minutes }: Extract<DangerEvent, { event: "ran" }>,
  seq: number,
  struckBy: number,
): Danger {
  if (!isOpen(danger) || danger.test !== RUN || danger.remediedBy === 0) return danger;
  if (!isClean) return { ...danger, remediedBy: struckBy === 0 ? 0 : Math.max(danger.remediedBy, struckBy) };
  const isEnough = minutes > 0 && minutes >= danger.runMinutes && seq > danger.remediedBy;
  return isEnough ? { ...danger, closedBy: seq } : danger;
}

/** What was found since is a reason for what it can do, and mending it the remedy; of a cause outside, that it was read. */
function explained(
  danger: Danger,
  { can, remedy, isOutside }: Extract<DangerEvent, { event: "explained" }>,
  seq: number,
): Danger {
  const { kind } = danger;
  if (!isOpen(danger)) return danger;
  const isReason = isTold(kind) ? can.some((one) => one === CASE_OF[kind]) : can.some((one) => one === kind);
  if (!isReason) return danger;
  if (isOutside) return { ...danger, remediedBy: seq };
  const isKnown = danger.remedies.some((one) => JSON.stringify(one) === JSON.stringify(remedy));
  return isKnown ? danger : { ...danger, remedies: [...danger.remedies, remedy] };
}

/**
 * The list of dangers after one more event of the log. Pure.
 * @param struckBy line that struck out its own, which then only keeps what it took away; 0 while it stands
 */
export function applyDangerEvent(
  dangers: readonly Danger[],
  event: DangerEvent,
  seq: number,
  struckBy: number,
): readonly Danger[] {
  switch (event.event) {
    case "danger":
      return opened(dangers, event, seq, struckBy);
    case "worked":
      return dangers.map((one) => worked(one, event, seq, struckBy > 0));
    case "tested":
      return dangers.map((one) => tested(one, event.tests, seq));
    case "ran":
      return dangers.map((one) => ran(one, event, seq, struckBy));
    case "explained":
      return dangers.map((one) => explained(one, event, seq));
  }
}
