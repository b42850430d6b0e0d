import { limitOf } from "../../knowledge/resolve-limits";
import type { DeadCheck, Knowledge, Limits } from "../../knowledge/types";
import { type DangerKind, HERE, openDangers, withholding } from "../../safety/dangers/danger";
import { alternativeTo, checksFor } from "../../safety/dead-checks";
import { spoiltAt } from "../../safety/live-work";
import { minutesCounted } from "../../safety/power-clock";
import type { AcceptanceRun, Complaint, SignedOff } from "../log/entry";
import { stillOff } from "../reassembly/put-back";
import type { Standing } from "../standing";

/** The one word that the log allows, and all that stands against a better one. */
export interface SignOffWord {
  readonly word: SignedOff["word"];
  readonly unproven: readonly string[];
}

/** What the word depends on beside the job. */
export interface SignOffContext {
  readonly deadChecks: Knowledge["deadChecks"];
  readonly limits: Limits;
}

/** A check of the machine's class with its last reading since the last thing done to the machine, if there is one. */
export interface FinalTest<Check = Standing["deadChecks"][number]> {
  readonly checkId: string;
  readonly reading: Check | undefined;
  /** The check that may stand for it. */
  readonly alternative: string | undefined;
}

/** Line that a final test must follow: the last change to the machine, to what it is, or what was told since. */
export function finalSince(
  view: Pick<Standing, "live" | "lastChangeSeq">,
  check: Pick<DeadCheck, "proves">,
): number {
  return Math.max(view.lastChangeSeq, spoiltAt(view.live, check.proves));
}

/** The tests of the protection class that must follow the last change to the machine. */
export function finalTests<Check extends Standing["deadChecks"][number]>(
  view: Pick<Standing, "takenIn" | "lastChangeSeq" | "live"> & { readonly deadChecks: readonly Check[] },
  { deadChecks }: Pick<SignOffContext, "deadChecks">,
): readonly FinalTest<Check>[] {
  const protection = view.takenIn?.protectionClass ?? "not-known";
  // A doubtful test that was struck out since still doubts the one before it.
  const doubtedSeq = (id: string): number => view.live.checks.find(({ checkId }) => checkId === id)?.seq ?? 0;
  const since = (check: DeadCheck): Check | undefined =>
    view.deadChecks.find(
      ({ checkId, seq }) =>
        checkId === check.id && seq > finalSince(view, check) && seq >= doubtedSeq(check.id),
    );
  const isTold = (reading: Check | undefined): boolean =>
    reading !== undefined && reading.verdict !== "undecided";
  return checksFor(deadChecks, protection).map((check) => {
    const own = since(check);
    const other = alternativeTo(check, deadChecks, protection);
    const found = other && since(other);
    // A leakage read without its grant proves nothing of the machine that leaves.
    const instead = found && view.live.withoutGrant.includes(found.seq) ? undefined : found;
    const reading = isTold(own) || !isTold(instead) ? own : instead;
    return { checkId: check.id, reading, alternative: other?.id };
  });
}

type Condition = Pick<Complaint, "circumstance" | "afterMinutes">;
type Run = Pick<AcceptanceRun, "circumstance" | "minutes">;

const LEAST: Readonly<Record<AcceptanceRun["circumstance"], string>> = {
  cold: "run-least",
  idle: "run-least",
  loaded: "run-loaded",
  hot: "run-hot",
};

/** Whether a run was long enough for what it claims: minutes to the temperature, minutes under load. */
function isLongEnough({ circumstance, minutes }: Run, limits: Limits): boolean {
  return minutes * 60 >= limitOf(limits, LEAST[circumstance]).value;
}

/** Minutes that the complaint takes to come, by all that was told of it. */
function minutesTold(told: readonly Condition[]): number | null {
  const after = told.filter(({ circumstance }) => circumstance === "after-minutes");
  if (after.some(({ afterMinutes }) => afterMinutes === null)) return null;
  return Math.max(0, ...told.map(({ afterMinutes }) => afterMinutes ?? 0));
}

/** What one condition of the complaint still lacks after these runs. */
function lackOf(
  condition: Condition,
  runs: readonly Run[],
  minutes: number | null,
  limits: Limits,
): string | undefined {
  const long = runs.filter((run) => isLongEnough(run, limits));
  switch (condition.circumstance) {
    case "always":
      return long.length > 0 ? undefined : "run-too-short";
    case "not-known":
      return "condition-not-known";
    case "sometimes":
      return "condition-sometimes";
    case "after-minutes":
      return minutes !== null && runs.some((run) => run.minutes >= minutes)
        ? undefined
        : "condition-after-minutes";
    case "wet":
      // Nobody wets a machine here to see it trip.
      return "condition-wet";
    case "cold":
      return long.some(({ circumstance }) => circumstance === "cold") ? undefined : "condition-cold";
    case "hot":
    case "loaded": {
      // Twenty minutes under load are twenty minutes under load, not twenty and a moment of load.
      const found = long.some(
        (run) => run.circumstance === condition.circumstance && run.minutes >= (minutes ?? 0),
      );
      return found ? undefined : `condition-${condition.circumstance}`;
    }
  }
}

/**
 * What the complaint's conditions still lack after these runs, by all that was told of it, first and since: the harder one
 * holds. @returns the code of the first lack, or nothing when all were tried
 */
export function conditionTried(
  told: readonly Condition[],
  runs: readonly Run[],
  limits: Limits,
): string | undefined {
  if (told.length === 0) return "no-complaint";
  const minutes = minutesTold(told);
  for (const condition of told) {
    const lack = lackOf(condition, runs, minutes, limits);
    if (lack !== undefined) return lack;
  }
  return undefined;
}

/** Runs that tell about the machine as it is now: those after the last thing done to it that had their grant. */
function validRuns(view: Standing): Standing["runs"] {
  return view.runs.filter(({ seq }) => seq > view.lastChangeSeq && !view.live.withoutGrant.includes(seq));
}

/** A run with the minutes that the clock allows it. */
function asCounted(run: Standing["runs"][number], { live }: Standing): Standing["runs"][number] {
  const span = live.runs.find(({ seq }) => seq === run.seq);
  return { ...run, minutes: minutesCounted(run.minutes, span) };
}

function runGaps(view: Standing, { limits }: SignOffContext): string[] {
  const since = view.runs.filter(({ seq }) => seq > view.lastChangeSeq);
  const last = since.at(-1);
  if (!last) return ["no-run"];
  if (last.result !== "gone") return ["run-failed"];
  // It stalled, tripped or smoked after it ran, or its complaint was told again: whatever the run said is taken back.
  if (view.live.stalledSeq > last.seq) return ["run-taken-back"];
  const runs = validRuns(view);
  if (runs.length === 0) return ["run-late"];
  const clean = runs.filter(({ result }) => result === "gone");
  const claimed = conditionTried(view.told, clean, limits);
  // Long enough as it is said, and power was not on for that long.
  const counted = conditionTried(
    view.told,
    clean.map((run) => asCounted(run, view)),
    limits,
  );
  const lack = claimed ?? (counted === undefined ? undefined : "run-clock");
  return [
    // It failed and then ran, and nothing was done in between: whatever it was is still there.
    ...(since.some(({ result }) => result !== "gone") ? ["run-not-explained"] : []),
    ...(lack === undefined ? [] : [lack]),
  ];
}

function testGaps(view: Standing, context: SignOffContext): string[] {
  const tests = finalTests(view, context);
  const blank = tests
    .filter(({ reading }) => reading === undefined || reading.verdict === "undecided")
    .map(({ checkId }) => (checkId === "look-and-cord" ? "final-look" : `final-${checkId}`));
  return view.takenIn?.protectionClass === "not-known" ? ["class-not-known", ...blank] : blank;
}

function isTemporary(view: Standing): boolean {
  return view.parts.some(({ fit }) => fit === "temporary");
}

/** Whether somebody promised to take the temporary part out again, on a day. */
function hasEndDate(view: Standing): boolean {
  return view.followUps.some(({ about, onDay }) => about === "temporary-part" && onDay !== null);
}

/** It smoked, smelt, tingled or was wet, or did so here: untested, nobody may use it. */
function isUnsafeUntested(view: Standing, blank: readonly string[]): boolean {
  const isHere = openDangers(view.live.dangers).some(({ place }) => place === HERE);
  return blank.length > 0 && (view.live.toldSeq > 0 || isHere);
}

const DO_NOT_USE: readonly string[] = ["parts-off", "cover-open", "unsafe-untested"];

/** What an open danger is as a reason against a better word. */
const CODES: Readonly<Partial<Record<DangerKind, string>>> = {
  earth: "failed-check",
  insulation: "failed-check",
  cord: "failed-check",
  trip: "incident-not-explained",
  "residual-trip": "incident-not-explained",
  smoke: "incident-not-explained",
  smell: "incident-not-explained",
  tingle: "incident-not-explained",
  "left-out": "protection-left-out",
  root: "only-consequence",
  brake: "brake-not-timed",
};

/** Codes of the open dangers that keep "repaired" back, each once. */
function dangerCodes(view: Pick<Standing, "live">): string[] {
  const kinds = withholding(view.live.dangers, "repaired").map(({ kind }) => CODES[kind] ?? kind);
  return [...new Set(kinds)];
}

/**
 * The word that may be printed on the owner's sheet. "Repaired" needs every final test of the protection class after the
 * last change, something done that is more than a consequence, clean runs in every condition of the complaint, each with
 * its grant, and no part fitted for a while only.
 */
export function signOffWord(view: Standing, context: SignOffContext): SignOffWord {
  const when = (stands: boolean, code: string): string[] => (stands ? [code] : []);
  const blank = testGaps(view, context);
  const unproven = [
    ...when(view.unreadable.length > 0, "line-unreadable"),
    ...when(stillOff(view).length > 0, "parts-off"),
    ...when(view.bench.opened.length > 0, "cover-open"),
    ...dangerCodes(view),
    ...when(isUnsafeUntested(view, blank), "unsafe-untested"),
    ...blank,
    ...when(view.interventions.length === 0, "nothing-done"),
    ...when(
      view.interventions.some(({ part }) => part === "not-checked"),
      "part-not-checked",
    ),
    ...runGaps(view, context),
    ...when(isTemporary(view) && !hasEndDate(view), "temporary-no-end"),
  ];
  const isForbidden = withholding(view.live.dangers, "use").length > 0;
  if (isForbidden || unproven.some((code) => DO_NOT_USE.includes(code)))
    return { word: "do-not-use", unproven };
  if (view.interventions.length === 0 || unproven.includes("run-failed"))
    return { word: "not-repaired", unproven };
  return { word: unproven.length === 0 ? "repaired" : "not-yet-proven", unproven };
}
