import type { DeadCheckReading } from "@/core/job/log/entry";
import { needOf, powerOf } from "@/core/knowledge/touches";
import type { Move } from "@/core/knowledge/types";
import { parseReading } from "@/core/quantity/parse-reading";
import { at, fail, issue, ok, type Result } from "@/core/result";
import { judgeDeadCheck } from "@/core/safety/dead-checks";
import type { Completed, Completion, CompletionContext, ShopFacts } from "../../completion";
import type { Drafts } from "../../schemas";
import { tellsDanger } from "../../tells-danger";

type Posted<O extends Drafts["reading"]["of"]> = Extract<Drafts["reading"], { of: O }>;

/** The move that a reading was taken for, if any; a move that its tool does not judge is refused. */
function moveFor(toolId: string, moveId: string | null, shop: ShopFacts): Result<Move | null> {
  if (moveId === null) return ok(null);
  const judges = shop.tools.find(({ id }) => id === toolId)?.judges ?? [];
  const move = shop.knowledge.moves.find(({ id }) => id === moveId);
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

async function toolReading(
  draft: Posted<"tool">,
  { shop, services }: CompletionContext,
): Promise<Result<Completed<"reading">>> {
  const { toolId, moveId, input, taken } = draft;
  const move = moveFor(toolId, moveId, shop);
  if (!move.ok) return move;
  const finding = await services.runTool(toolId, input);
  if (!finding.ok) return fail(...at("payload", finding.issues));
  const touches = shop.tools.find(({ id }) => id === toolId)?.touches ?? [];
  const payload = {
    of: "tool",
    toolId,
    moveId,
    input,
    finding: finding.value,
    taken,
    looseReadingId: null,
  } as const;
  const own = move.value;
  if (own && finding.value.evidence.some((one) => one.moveId === own.id && tellsDanger(own, one.outcomeId)))
    return ok({ payload });
  return ok({
    payload,
    need: move.value?.needs ?? needOf(touches),
    power: move.value?.power ?? powerOf(touches),
  });
}

async function looseReading(
  draft: Posted<"loose">,
  { shop, services }: CompletionContext,
): Promise<Result<Completed<"reading">>> {
  const found = await services.keptReading(draft.looseReadingId);
  if (!found)
    return fail(
      issue("payload.looseReadingId", "unknown/reading", "There is no such reading.", draft.looseReadingId),
    );
  const move = moveFor(found.toolId, draft.moveId, shop);
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
  return ok({ payload });
}

const LOOKS: ReadonlyMap<string, DeadCheckReading["verdict"]> = new Map(
  Object.entries<DeadCheckReading["verdict"]>({
    sound: "passed",
    damaged: "failed",
    "not sure": "undecided",
  }),
);

function deadCheck(
  draft: Posted<"dead-check">,
  { view, shop }: CompletionContext,
): Result<Completed<"reading">> {
  const check = shop.knowledge.deadChecks.find(({ id }) => id === draft.checkId);
  if (!check)
    return fail(
      issue("payload.checkId", "unknown/check", `There is no dead check "${draft.checkId}".`, draft.checkId),
    );
  const base = { of: "dead-check", checkId: check.id, entered: draft.entered, taken: draft.taken } as const;
  if (check.quantity === "seen") {
    const verdict = LOOKS.get(draft.entered);
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
      payload: { ...base, reading: null, verdict, limit: null, limitId: null, limitSource: null },
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
    shop.limits,
  );
  const payload = {
    ...base,
    reading,
    verdict: judged.verdict,
    limit: judged.limit ?? null,
    limitId: judged.limitId ?? null,
    limitSource: judged.limitSource ?? null,
  };
  if (payload.verdict === "failed") return ok({ payload });
  // A leakage clamp works on a running machine, guards on and hands off: power is earned for it, too.
  return ok(check.needs === "powered" ? { payload, power: "leakage" } : { payload, need: "plug-out" });
}

/** The Finding of a tool, the verdict of a dead check: worked out here, whatever the screen previewed. */
export const complete: Completion<"reading"> = (draft, context) => {
  if (draft.of === "tool") return toolReading(draft, context);
  return draft.of === "loose" ? looseReading(draft, context) : deadCheck(draft, context);
};
