import type { Knowledge } from "../../knowledge/types";
import { alternativeTo, checksFor } from "../../safety/dead-checks";
import type { AcceptanceRun, Complaint, SignedOff } from "../log/entry";
import { stillOff } from "../reassembly/put-back";
import type { Standing } from "../standing";

/** The one word that the log allows, and all that stands against a better one. */
export interface SignOffWord {
  readonly word: SignedOff["word"];
  readonly unproven: readonly string[];
}

type DeadChecks = Pick<Knowledge, "deadChecks">;

/** A check of the machine's class with its last reading since the last thing done to the machine, if there is one. */
export interface FinalTest<Check = Standing["deadChecks"][number]> {
  readonly checkId: string;
  readonly reading: Check | undefined;
  /** The check that may stand for it. */
  readonly alternative: string | undefined;
}

/** The tests of the protection class that must follow the last change to the machine. */
export function finalTests<Check extends Standing["deadChecks"][number]>(
  view: Pick<Standing, "takenIn" | "lastChangeSeq"> & { readonly deadChecks: readonly Check[] },
  { deadChecks }: DeadChecks,
): readonly FinalTest<Check>[] {
  const protection = view.takenIn?.protectionClass ?? "not-known";
  const since = (id: string): Check | undefined =>
    view.deadChecks.find(({ checkId, seq }) => checkId === id && seq > view.lastChangeSeq);
  const isTold = (reading: Check | undefined): boolean =>
    reading !== undefined && reading.verdict !== "undecided";
  return checksFor(deadChecks, protection).map((check) => {
    const own = since(check.id);
    const other = alternativeTo(check, deadChecks, protection);
    const instead = other && since(other.id);
    const reading = isTold(own) || !isTold(instead) ? own : instead;
    return { checkId: check.id, reading, alternative: other?.id };
  });
}

/** Whether a run has tried the machine as the complaint comes; the code of what it lacks otherwise. */
export function conditionTried(
  complaint: Pick<Complaint, "circumstance" | "afterMinutes"> | null,
  run: Pick<AcceptanceRun, "circumstance" | "minutes">,
): string | undefined {
  if (!complaint) return "no-complaint";
  switch (complaint.circumstance) {
    case "always":
      return undefined;
    case "not-known":
      return "condition-not-known";
    case "sometimes":
      return "condition-sometimes";
    case "after-minutes":
      return complaint.afterMinutes !== null && run.minutes >= complaint.afterMinutes
        ? undefined
        : "condition-after-minutes";
    case "cold":
    case "hot":
    case "loaded":
      return run.circumstance === complaint.circumstance ? undefined : `condition-${complaint.circumstance}`;
  }
}

/** Runs that tell about the machine as it is now: those after the last thing done to it. */
function validRuns(view: Standing): Standing["runs"] {
  return view.runs.filter(({ seq }) => seq > view.lastChangeSeq);
}

function runGaps(view: Standing): string[] {
  const runs = validRuns(view);
  const last = runs.at(-1);
  if (!last) return ["no-run"];
  if (last.result !== "gone") return ["run-failed"];
  const lacks = runs
    .filter(({ result }) => result === "gone")
    .map((run) => conditionTried(view.complaint, run));
  return lacks.some((lack) => lack === undefined) ? [] : [lacks.at(-1) ?? "no-run"];
}

function testGaps(view: Standing, context: DeadChecks): string[] {
  const tests = finalTests(view, context);
  const blank = tests
    .filter(({ reading }) => reading === undefined || reading.verdict === "undecided")
    .map(({ checkId }) => (checkId === "look-and-cord" ? "final-look" : `final-${checkId}`));
  return view.takenIn?.protectionClass === "not-known" ? ["class-not-known", ...blank] : blank;
}

/** Whether a final test failed: such a machine leaves with the word "do not use", whatever else was done. */
export function hasFailedTest(view: Standing): boolean {
  return view.deadChecks.some(({ verdict }) => verdict === "failed");
}

function isTemporary(view: Standing): boolean {
  return view.parts.some(({ fit }) => fit === "temporary");
}

/** Whether somebody promised to take the temporary part out again, on a day. */
function hasEndDate(view: Standing): boolean {
  return view.followUps.some(({ about, onDay }) => about === "temporary-part" && onDay !== null);
}

/**
 * The word that may be printed on the owner's sheet. "Repaired" needs every final test of the protection class after the
 * last change, something done, a run in the complaint's condition that was clean, and no part fitted for a while only.
 */
export function signOffWord(view: Standing, context: DeadChecks): SignOffWord {
  const isOff = stillOff(view).length > 0;
  const unproven = [
    ...(view.unreadable.length > 0 ? ["line-unreadable"] : []),
    ...(isOff ? ["parts-off"] : []),
    ...(view.bench.opened.length > 0 ? ["cover-open"] : []),
    ...(hasFailedTest(view) ? ["failed-check"] : []),
    ...testGaps(view, context),
    ...(view.interventions.length === 0 ? ["nothing-done"] : []),
    ...runGaps(view),
    ...(isTemporary(view) ? ["temporary"] : []),
    ...(isTemporary(view) && !hasEndDate(view) ? ["temporary-no-end"] : []),
  ];
  if (hasFailedTest(view) || isOff || view.bench.opened.length > 0) return { word: "do-not-use", unproven };
  if (view.interventions.length === 0 || unproven.includes("run-failed"))
    return { word: "not-repaired", unproven };
  return { word: unproven.length === 0 ? "repaired" : "not-yet-proven", unproven };
}
