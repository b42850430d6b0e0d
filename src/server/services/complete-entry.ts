import type { DeadCheckReading, NewEntry } from "@/core/job/entry";
import { hadResistor } from "@/core/job/old-part";
import type { JobView } from "@/core/job/reduce";
import type { BenchNeed, Move, StoreId } from "@/core/knowledge/types";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { rankCapacitors } from "@/core/matching/rank";
import { capacitorRequirement } from "@/core/matching/requirement";
import { parseReading } from "@/core/quantity/parse-reading";
import type { Reading } from "@/core/quantity/reading";
import { at, fail, type Issue, issue, ok, type Result } from "@/core/result";
import { applyBenchEvent, type BenchEvent } from "@/core/safety/bench-state";
import { judgeDeadCheck } from "@/core/safety/dead-checks";
import { needOf } from "@/core/tools/need-of";
import type { Executor } from "@/server/db/executor";
import { jobExists } from "@/server/repositories/jobs";
import { looseReading } from "@/server/repositories/loose-readings";
import {
  completeBuilt,
  completeDecision,
  completeIntervention,
  completePrice,
  completeSignOff,
  type DecisionDraft,
  type InterventionDraft,
  type SignOffDraft,
} from "./complete-repair";
import type { Ground } from "./ground";
import { completePicture } from "./keep-picture";
import { runTool } from "./run-tool";

/** The posted form of the kinds that the server completes; the rest are posted as they are kept. */
export type Draft =
  | { readonly kind: "reading"; readonly payload: ToolDraft | LooseDraft | CheckDraft }
  | { readonly kind: "bench-state"; readonly payload: BenchDraft }
  | { readonly kind: "intervention"; readonly payload: InterventionDraft }
  | { readonly kind: "decision"; readonly payload: DecisionDraft }
  | { readonly kind: "signed-off"; readonly payload: SignOffDraft }
  | Exclude<NewEntry, { kind: "reading" | "bench-state" | "intervention" | "decision" | "signed-off" }>;

interface ToolDraft {
  readonly of: "tool";
  readonly toolId: string;
  readonly moveId: string | null;
  readonly input: Readonly<Record<string, unknown>>;
  readonly taken: "now" | "afterwards";
}
interface LooseDraft {
  readonly of: "loose";
  readonly looseReadingId: string;
  readonly moveId: string | null;
}
interface CheckDraft {
  readonly of: "dead-check";
  readonly checkId: string;
  readonly entered: string;
  readonly taken: "now" | "afterwards";
}
type BenchDraft =
  | Exclude<BenchEvent, { event: "stored-volts" | "isolated" }>
  | { readonly event: "stored-volts"; readonly id: StoreId; readonly volts: Reading }
  | { readonly event: "isolated"; readonly volts: Reading; readonly means: string };

/** An entry ready for the log, and what its move needs of the bench. */
export interface Completed {
  readonly entry: NewEntry;
  readonly need: BenchNeed;
}

/** A completed entry that needs nothing of the bench. */
function needingNothing(entry: Result<NewEntry>): Result<Completed> {
  return entry.ok ? plain(entry.value) : entry;
}

function plain(entry: NewEntry): Result<Completed> {
  return ok({ entry, need: "none" });
}

function voltsOf(reading: Reading): Result<number> {
  if (reading.kind === "value") return ok(reading.value);
  return fail(
    issue(
      "payload.volts",
      "bench/volts-needed",
      "Volts read must be a number, such as 0.3: OL or nothing read proves nothing.",
      "entered" in reading ? reading.entered : reading.why,
    ),
  );
}

/** The move that a reading was taken for, if any; a move that its tool does not judge is refused. */
function moveFor(toolId: string, moveId: string | null, ground: Ground): Result<Move | null> {
  if (moveId === null) return ok(null);
  const judges = ground.tools.find(({ id }) => id === toolId)?.judges ?? [];
  const move = ground.knowledge.moves.find(({ id }) => id === moveId);
  if (move && judges.includes(move.id)) return ok(move);
  return fail(
    issue(
      "payload.moveId",
      "reading/no-such-move",
      `Move "${moveId}" does not take this reading: it is not one of ${judges.join(", ") || "none"}.`,
      moveId,
    ),
  );
}

async function completeTool(draft: ToolDraft, ground: Ground): Promise<Result<Completed>> {
  const { toolId, moveId, input, taken } = draft;
  const move = moveFor(toolId, moveId, ground);
  if (!move.ok) return move;
  const finding = await runTool(toolId, input, {}, ground);
  if (!finding.ok) return fail(...at("payload", finding.issues));
  const touches = ground.tools.find(({ id }) => id === toolId)?.touches ?? [];
  const payload = {
    of: "tool",
    toolId,
    moveId,
    input,
    finding: finding.value,
    taken,
    looseReadingId: null,
  } as const;
  return ok({ entry: { kind: "reading", payload }, need: move.value?.needs ?? needOf(touches) });
}

async function completeLoose(draft: LooseDraft, on: Executor, ground: Ground): Promise<Result<Completed>> {
  const found = await looseReading(on, draft.looseReadingId);
  if (!found)
    return fail(
      issue("payload.looseReadingId", "unknown/reading", "There is no such reading.", draft.looseReadingId),
    );
  const move = moveFor(found.toolId, draft.moveId, ground);
  if (!move.ok) return move;
  const { toolId, input, finding, id } = found;
  const payload = {
    of: "tool",
    toolId,
    moveId: move.value?.id ?? null,
    input,
    finding,
    taken: "afterwards",
    looseReadingId: id,
  } as const;
  return ok({ entry: { kind: "reading", payload }, need: "none" });
}

const LOOKS: Readonly<Record<string, DeadCheckReading["verdict"]>> = {
  sound: "passed",
  damaged: "failed",
  "not sure": "undecided",
};

function completeCheck(draft: CheckDraft, view: JobView, ground: Ground): Result<Completed> {
  const check = ground.knowledge.deadChecks.find(({ id }) => id === draft.checkId);
  if (!check)
    return fail(
      issue("payload.checkId", "unknown/check", `There is no dead check "${draft.checkId}".`, draft.checkId),
    );
  const base = { of: "dead-check", checkId: check.id, entered: draft.entered, taken: draft.taken } as const;
  if (check.quantity === "seen") {
    const verdict = LOOKS[draft.entered];
    if (!verdict)
      return fail(
        issue(
          "payload.entered",
          "check/not-an-answer",
          `"${draft.entered}" is not one of sound, damaged, not sure.`,
          draft.entered,
        ),
      );
    return ok({
      entry: {
        kind: "reading",
        payload: { ...base, reading: null, verdict, limit: null, limitId: null, limitSource: null },
      },
      need: "none",
    });
  }
  const parsed = parseReading(draft.entered, check.quantity, check.label);
  if (!parsed.ok) return fail(...at("payload.entered", parsed.issues));
  const { reading } = parsed.value;
  const taken = view.takenIn;
  const judged = judgeDeadCheck(
    check,
    reading,
    taken?.protectionClass ?? "not-known",
    taken?.heater === "yes",
    ground.limits,
  );
  const payload = {
    ...base,
    reading,
    verdict: judged.verdict,
    limit: judged.limit ?? null,
    limitId: judged.limitId ?? null,
    limitSource: judged.limitSource ?? null,
  };
  // A leakage clamp works on a running machine, guards on and hands off.
  return ok({ entry: { kind: "reading", payload }, need: check.needs === "powered" ? "none" : "plug-out" });
}

function dielectricOf(view: JobView, id: StoreId): "film" | "electrolytic" | "not-known" {
  const marked = view.capacitors.find((one) => one.id === id);
  const parsed = marked ? parseCapacitorMark(marked.mark) : undefined;
  return parsed?.ok ? parsed.value.dielectric : "not-known";
}

function completeBench(draft: BenchDraft, view: JobView): Result<BenchEvent> {
  if (draft.event !== "stored-volts" && draft.event !== "isolated") return ok(draft);
  const volts = voltsOf(draft.volts);
  if (!volts.ok) return volts;
  return draft.event === "isolated"
    ? ok({ event: "isolated", volts: volts.value, means: draft.means })
    : ok({
        event: "stored-volts",
        id: draft.id,
        volts: volts.value,
        dielectric: dielectricOf(view, draft.id),
      });
}

/** Hazards and the earlier job that a machine at the door names. */
async function unknownAtDoor(
  { hazards, from }: Extract<NewEntry, { kind: "taken-in" }>["payload"],
  on: Executor,
  ground: Ground,
): Promise<Issue | undefined> {
  const hazard = hazards.find((one) => !ground.knowledge.hazards.some(({ id }) => id === one));
  if (hazard !== undefined)
    return issue("payload.hazards", "unknown/hazard", `There is no hazard "${hazard}".`, hazard);
  if (from && !(await jobExists(on, from.jobId)))
    return issue(
      "payload.from.jobId",
      "unknown/job",
      `There is no job ${from.jobId} to begin from.`,
      from.jobId,
    );
  return undefined;
}

function unknownIds(entry: NewEntry, ground: Ground): Result<Completed> {
  if (entry.kind === "taken-in" && !ground.knowledge.families.some(({ id }) => id === entry.payload.family))
    return fail(
      issue(
        "payload.family",
        "unknown/family",
        `There is no motor family "${entry.payload.family}".`,
        entry.payload.family,
      ),
    );
  if (entry.kind === "complaint") {
    const unknown = entry.payload.signs.find((sign) => !ground.knowledge.signs.some(({ id }) => id === sign));
    if (unknown !== undefined)
      return fail(issue("payload.signs", "unknown/sign", `There is no sign "${unknown}".`, unknown));
  }
  if (entry.kind === "nameplate" && entry.payload.plate === "capacitor") {
    const parsed = parseCapacitorMark(entry.payload.mark);
    if (!parsed.ok) return fail(...at("payload.mark", parsed.issues));
  }
  return plain(entry);
}

const NO_ANSWER: readonly string[] = ["not-sure", "could-not"];

function completeAnswer(draft: Extract<NewEntry, { kind: "answer" }>, ground: Ground): Result<Completed> {
  const { moveId, outcomeId } = draft.payload;
  const move = ground.knowledge.moves.find(({ id }) => id === moveId);
  if (!move) return fail(issue("payload.moveId", "unknown/move", `There is no move "${moveId}".`, moveId));
  const known = [...move.outcomes, ...NO_ANSWER];
  if (!known.includes(outcomeId))
    return fail(
      issue(
        "payload.outcomeId",
        "unknown/answer",
        `"${move.title}" has no answer "${outcomeId}": it has ${known.join(", ")}.`,
        outcomeId,
      ),
    );
  return ok({ entry: draft, need: NO_ANSWER.includes(outcomeId) ? "none" : move.needs });
}

/** The server ranks the part itself: one that does not fit cannot be chosen, whatever the screen said. */
function completePart(
  draft: Extract<NewEntry, { kind: "part-chosen" }>,
  view: JobView,
  ground: Ground,
): Result<Completed> {
  const { forPart, partId } = draft.payload;
  const part = ground.knowledge.capacitors.find(({ id }) => id === partId);
  const marked = view.capacitors.find(({ id }) => id === forPart);
  const mark = marked ? parseCapacitorMark(marked.mark) : undefined;
  if (!part) return fail(issue("payload.partId", "unknown/part", `There is no part "${partId}".`, partId));
  if (!mark?.ok)
    return fail(
      issue(
        "payload.forPart",
        "match/no-marking",
        `The marking of the ${forPart} capacitor is not read yet: enter it in Make safe.`,
        forPart,
      ),
    );
  const need = capacitorRequirement(
    mark.value,
    forPart,
    ground.settings.value.volts,
    hadResistor(view, forPart, ground.knowledge.moves),
    ground.limits,
  );
  const [ranked] = rankCapacitors(need, [part], ground.limits);
  if (!ranked || ranked.fit === "reject") {
    const why = ranked?.attributes
      .filter(({ fit }) => fit === "reject")
      .map(({ reason }) => reason)
      .join(" ");
    return fail(
      issue("payload.partId", "match/does-not-fit", `${part.label} does not fit: ${why ?? ""}`, partId),
    );
  }
  const notes = ranked.attributes.filter(({ fit }) => fit !== "fit").map(({ reason }) => reason);
  const { label, priceMinor, days } = part;
  return plain({
    kind: "part-chosen",
    payload: { forPart, partId, label, fit: ranked.fit, notes, priceMinor, days },
  });
}

/** A posted entry to what the log keeps: the server's own Finding counts, never the screen's preview. */
export async function completeEntry(
  draft: Draft,
  view: JobView,
  on: Executor,
  now: string,
  ground: Ground,
): Promise<Result<Completed>> {
  if (draft.kind === "reading") {
    const { payload } = draft;
    if (payload.of === "tool") return completeTool(payload, ground);
    return payload.of === "loose" ? completeLoose(payload, on, ground) : completeCheck(payload, view, ground);
  }
  if (draft.kind === "bench-state") {
    const event = completeBench(draft.payload, view);
    if (!event.ok) return event;
    const tried = applyBenchEvent(view.bench, event.value, now, view.machine, ground.limits);
    return tried.ok ? plain({ kind: "bench-state", payload: event.value }) : tried;
  }
  switch (draft.kind) {
    case "taken-in": {
      const unknown = await unknownAtDoor(draft.payload, on, ground);
      return unknown ? fail(unknown) : unknownIds(draft, ground);
    }
    case "part-chosen":
      return completePart(draft, view, ground);
    case "answer":
      return completeAnswer(draft, ground);
    case "intervention":
      return needingNothing(completeIntervention(draft.payload, view, ground));
    case "picture":
      return needingNothing(await completePicture(draft, on));
    case "built":
      return needingNothing(completeBuilt(draft.payload, ground));
    case "priced":
      return needingNothing(completePrice(draft.payload, ground));
    case "decision":
      return needingNothing(await completeDecision(draft.payload, view, ground));
    case "signed-off":
      return needingNothing(completeSignOff(draft.payload, view, ground));
    default:
      return unknownIds(draft, ground);
  }
}
