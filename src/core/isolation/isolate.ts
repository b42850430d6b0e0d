import type { BeforeOrder } from "../knowledge/fault-page.input";
import { accessOn, repairsOn } from "../knowledge/kind-costs";
import { NOT_KNOWN, stationsOf } from "../knowledge/machine-kind";
import { type Parameters, parametersOf } from "../knowledge/parameters";
import type { Move } from "../knowledge/types";
import { fail, issue, ok, type Result } from "../result";
import { type BenchGap, concerns } from "../safety/bench-gaps";
import { withoutAliases } from "./aliases";
import { posterior } from "./belief";
import { type Conflict, findConflict, isBadlyExplained } from "./conflict";
import { type Answer, checkEvidence, type Intervention } from "./evidence";
import { eachAnswer, type StationShare, type Suspect, stationShares, suspects } from "./explain";
import { historyOf, type Standpoint } from "./history";
import { withThreeRoots } from "./hypotheses";
import type { IsolateRequest } from "./isolate.input";
import { type IsolationKnowledge, keptModels, kindsOf, type Models, whyNoMove } from "./machine-model";
import { type Model, modelFrom } from "./model";
import type { NextLook, RatedTrial } from "./next-look";
import { adviseMoves, type MoveAdvice } from "./next-move";
import { type Present, presentOf, spokenNow } from "./present";
import { beforeOrderOf, type Gate, gateOf } from "./purchase-gate";
import type { RatedMove } from "./rated-move";

export interface Isolation {
  readonly suspects: readonly Suspect[];
  readonly stations: readonly StationShare[];
  readonly moves: readonly RatedMove[];
  /** What could be repaired now, the best worth first: what the decision is made from. */
  readonly trials: readonly RatedTrial[];
  /** The best move with what could be tried after each of its answers: what the decision weighs against doing something now. */
  readonly next: NextLook | null;
  readonly stop: { readonly advised: boolean; readonly trialCost: number };
  readonly isTierRaised: boolean;
  readonly conflicts: readonly Conflict[];
  /** How suspicion moved, line by line. */
  readonly history: readonly Standpoint[];
  /** Where the family is not known: how likely each is, likeliest first. */
  readonly kinds: readonly { readonly family: string; readonly chance: number }[];
  /** Before the part is ordered, once the leading suspect is proven: its twin, the cause behind it, the reading once more. */
  readonly beforeOrder: readonly BeforeOrder[];
  /** Buying a part, or condemning a motor, waits for a direct proof of the leading suspect. */
  readonly purchaseGate: { readonly open: boolean; readonly needs: readonly string[] };
  readonly basis: {
    readonly knowledgeVersion: string;
    readonly hypotheses: number;
    readonly maxRoots: number;
    readonly states: number;
  };
}

interface Prepared {
  readonly model: Model;
  readonly answers: readonly Answer[];
  readonly interventions: readonly Intervention[];
}

function prepare(
  request: IsolateRequest,
  models: Models,
  knowledge: IsolationKnowledge,
  isWide: boolean,
): Result<Prepared> {
  const { maxRoots, shopCounts } = request.options ?? {};
  const model = models(request.machine, maxRoots === 1 ? 1 : 2, shopCounts, isWide);
  if (!model.ok) return model;
  const interventions = request.interventions ?? [];
  const given = request.evidence.map(
    (one): Answer => ({ ...one, epoch: one.epoch ?? 0, circumstance: one.circumstance ?? "cold" }),
  );
  const faultIds = new Set(model.value.hypotheses.faults.map(({ id }) => id));
  const answers = checkEvidence(given, interventions, model.value.moves, faultIds, (moveId) =>
    whyNoMove(moveId, request.machine, knowledge),
  );
  return answers.ok ? ok({ model: model.value, answers: answers.value, interventions }) : answers;
}

/** What each move waits for, as the request tells of the machine. */
function blocksOf({ bench }: IsolateRequest): (move: Pick<Move, "needs" | "power">) => string[] {
  const isOut = bench?.plug === "unplugged" || bench?.plug === "isolated";
  const unsettled: readonly BenchGap[] = bench?.unsettled ?? [
    ...(isOut ? [] : (["plug"] as const)),
    ...(isOut && bench?.drained === true ? [] : (["charge"] as const)),
  ];
  const withheld = [...(bench?.deadChecksPassed === true ? [] : ["dead-checks"]), "outlet"];
  const live = bench?.withheld ?? { guardsOn: withheld, measured: withheld };
  return ({ needs, power }) => {
    if (power === "off") return unsettled.filter((gap) => concerns(gap, needs));
    return [...(power === "measured" ? live.measured : live.guardsOn)];
  };
}

/** The model with its belief, with sets of three roots where that is asked for and no set of two explains the answers. */
interface Judged extends Prepared {
  readonly belief: Float64Array;
  readonly maxRoots: 1 | 2 | 3;
}

function judge(prepared: Prepared, request: IsolateRequest, parameters: Parameters): Judged | undefined {
  const { model, answers, interventions } = prepared;
  const belief = posterior(model, answers, interventions);
  if (!belief) return undefined;
  const asked = request.options?.maxRoots ?? 2;
  const two: Judged = { ...prepared, belief, maxRoots: asked === 1 ? 1 : 2 };
  const { family } = request.machine;
  if (asked < 3 || family === NOT_KNOWN || !isBadlyExplained(two, parameters)) return two;
  const wider = modelFrom(
    withThreeRoots(model.hypotheses, family, belief, parameters),
    model.moves,
    model.table,
    parameters,
  );
  const widerBelief = posterior(wider, answers, interventions);
  return widerBelief ? { ...two, model: wider, belief: widerBelief, maxRoots: 3 } : two;
}

/** The instrument that a move asks for and the shop is not said to have; nothing where its instruments were not said. */
function lacksOf({ instruments = [] }: IsolateRequest): (move: Pick<Move, "kit">) => string | undefined {
  const has = new Set(instruments);
  return ({ kit }) => (has.size > 0 && kit !== undefined && !has.has(kit) ? kit : undefined);
}

function isQuestion(model: Model, { moveId }: Answer): boolean {
  return model.moves.find(({ id }) => id === moveId)?.kind === "question";
}

function adviceFor(
  { model, belief }: Pick<Present, "model" | "belief">,
  { answers, interventions }: Prepared,
  gate: Gate,
  request: IsolateRequest,
  knowledge: IsolationKnowledge,
  parameters: Parameters,
): MoveAdvice {
  const { bench, costs } = request;
  const isDead = bench?.plug === "unplugged" || bench?.plug === "isolated";
  const lastEpoch = Math.max(0, ...interventions.map(({ epoch }) => epoch));
  const since = request.evidence.filter(({ epoch }) => (epoch ?? 0) === lastEpoch);
  const isSettled = (move: Move): boolean =>
    (move.settledBy ?? []).some((by) =>
      since.some(({ moveId, outcomeId }) => moveId === by.moveId && outcomeId === by.outcomeId),
    );
  const past = new Set(model.moves.filter(({ kind }) => kind === "question").map(({ id }) => id));
  const asked = new Set([
    ...since.map(({ moveId }) => moveId),
    // What is past was asked once and for all; what the machine on the bench answers is no question any more.
    ...request.evidence.map(({ moveId }) => moveId).filter((id) => past.has(id)),
    ...model.moves.filter(isSettled).map(({ id }) => id),
    ...model.moves.filter(({ isSign }) => isSign === true).map(({ id }) => id),
  ]);
  // A reading that is to be repeated is open once more.
  if (gate.isProven) for (const again of gate.proofs) asked.delete(again);
  // Power with a cover off is a note for a licensed person, never an offer.
  for (const { id, power } of model.moves) if (power === "licensed") asked.add(id);
  return adviseMoves(model, belief, asked, {
    parameters,
    access: accessOn(request.machine, knowledge),
    repairs: repairsOn({ ...request.machine, opened: bench?.opened }, knowledge),
    prices: Object.fromEntries(
      (costs?.partPrices ?? []).map(({ repair, minor }) => [repair, minor] as const),
    ),
    machineState: { isDead, isDrained: isDead && bench?.drained === true, opened: bench?.opened ?? [] },
    circumstance: answers.at(-1)?.circumstance ?? "cold",
    rankingRatePerHourMinor: costs?.rankingRatePerHour?.minor,
    giveUp: request.machine.value?.minor ?? parameters["machine-price-default"],
    lookAhead: request.options?.lookAhead === 2 ? 2 : 1,
    blocksOf: blocksOf(request),
    proofs: gate.proofs,
    renewed: gate.renewed,
    leading: gate.chance,
    isProven: gate.isProven,
    lacks: lacksOf(request),
    isTold: answers.every((answer) => isQuestion(model, answer)),
  });
}

function kindChances(
  { model, belief }: Pick<Present, "model" | "belief">,
  request: IsolateRequest,
  knowledge: IsolationKnowledge,
): Isolation["kinds"] {
  if (request.machine.family !== NOT_KNOWN) return [];
  const first = model.hypotheses.faults.length;
  return kindsOf(request.machine, knowledge)
    .map(({ family }, at) => ({
      family,
      chance: model.hypotheses.all.reduce(
        (sum, { kind }, index) => sum + (kind === first + at ? (belief[index] ?? 0) : 0),
        0,
      ),
    }))
    .sort((one, other) => other.chance - one.chance);
}

/** The rarest sets of faults are left out until the answers contradict each other without them. */
function judgedFrom(
  request: IsolateRequest,
  models: Models,
  knowledge: IsolationKnowledge,
  parameters: Parameters,
): Result<(Judged & { readonly conflict: Conflict | undefined }) | undefined> {
  const attempt = (isWide: boolean): ReturnType<typeof judgedFrom> => {
    const prepared = prepare(request, models, knowledge, isWide);
    if (!prepared.ok) return prepared;
    const judged = judge(prepared.value, request, parameters);
    return ok(judged && { ...judged, conflict: findConflict(judged, parameters) });
  };
  const first = attempt(false);
  const isExplained = first.ok && first.value !== undefined && first.value.conflict === undefined;
  return !first.ok || isExplained || request.machine.family === NOT_KNOWN ? first : attempt(true);
}

/**
 * Where the fault sits and what to do next, from the answers so far. Exact by enumeration; after repairs but for ways it may
 * have come that hold less than 1e-7 of their hypothesis (`paths.ts`).
 *
 * Defaults: cold, epoch 0, two roots, one step ahead, machine not dead and not drained, dead checks not passed, worth 200.00.
 * Three roots are tried only where asked for, and only when no two explain the answers.
 * @returns suspects and stations that each add up to one with the row of more than one root; issues when an answer
 * does not belong to the machine, or when nothing explains the answers.
 */
function isolateWith(
  request: IsolateRequest,
  models: Models,
  knowledge: IsolationKnowledge,
  parameters: Parameters,
): Result<Isolation> {
  const found = judgedFrom(request, models, knowledge, parameters);
  if (!found.ok) return found;
  const judged = found.value;
  if (!judged)
    return fail(
      issue(
        "evidence",
        "isolation/nothing-explains",
        "No set of faults explains these answers: strike out the one that is most in doubt.",
      ),
    );
  const { model, answers, interventions, conflict } = judged;
  const spoken = eachAnswer(model, answers, interventions);
  const present = presentOf(model, judged.belief, answers, interventions);
  const lastEpoch = Math.max(0, ...interventions.map(({ epoch }) => epoch));
  const said = interventions.length === 0 ? spoken : spokenNow(present, spoken, lastEpoch);
  const named = suspects(present.model, present.belief, said, knowledge.inseparable, parameters);
  const gate = gateOf(model, named[0], judged);
  const advice = adviceFor(present, judged, gate, request, knowledge, parameters);
  const stations = stationsOf(request.machine, knowledge);
  const isQuick = interventions.length === 0 || request.options?.lookAhead === 2;
  return ok({
    suspects: named,
    stations: stationShares(
      present.model,
      present.belief,
      knowledge.stations.filter(({ id }) => stations.has(id)),
      said,
      parameters,
    ),
    moves: advice.moves,
    trials: advice.trials,
    next: advice.next,
    stop: { advised: advice.isStopAdvised, trialCost: advice.trialCost },
    isTierRaised: advice.isTierRaised,
    conflicts: conflict ? [conflict] : [],
    history: isQuick ? historyOf(model, spoken, interventions) : [],
    kinds: kindChances(present, request, knowledge),
    beforeOrder: beforeOrderOf(model, judged, named[0], gate),
    purchaseGate: { open: gate.open, needs: gate.needs },
    basis: {
      knowledgeVersion: knowledge.version,
      hypotheses: model.hypotheses.all.length,
      maxRoots: judged.maxRoots,
      states: model.table.size(),
    },
  });
}

/** An isolator for one state of the knowledge; it keeps the model of each kind of machine it was asked about. */
export function createIsolator(
  knowledge: IsolationKnowledge,
): (request: IsolateRequest) => Result<Isolation> {
  const parameters = parametersOf(knowledge.parameters);
  const models = keptModels(knowledge, parameters);
  return (request) => isolateWith(withoutAliases(request, knowledge.aliases), models, knowledge, parameters);
}
