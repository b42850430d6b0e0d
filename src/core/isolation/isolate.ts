import type { InferType } from "yup";
import { limitOf } from "../knowledge/resolve-limits";
import type { Knowledge, Limits, Move } from "../knowledge/types";
import { fail, issue, ok, type Result } from "../result";
import { type Model, modelFrom, posterior } from "./belief";
import { type Conflict, findConflict } from "./conflict";
import { type Answer, checkEvidence, type Intervention } from "./evidence";
import { eachAnswer, type StationShare, type Suspect, stationShares, suspects } from "./explain";
import { buildHypotheses, faultsFor } from "./hypotheses";
import type { isolateInput } from "./isolate.input";
import { adviseMoves, type RatedMove, type RatedTrial } from "./next-move";
import { buildOutcomeTable, type OutcomeKnowledge } from "./outcome-table";

export type IsolateRequest = InferType<typeof isolateInput>;

/** The tables that isolation reads: what a worker is handed. */
export type IsolationKnowledge = OutcomeKnowledge &
  Pick<Knowledge, "families" | "archetypes" | "faults" | "repairs" | "stations" | "access" | "version">;

export interface Isolation {
  readonly suspects: readonly Suspect[];
  readonly stations: readonly StationShare[];
  readonly moves: readonly RatedMove[];
  /** What could be repaired now, the best worth first: what the decision is made from. */
  readonly trials: readonly RatedTrial[];
  readonly stop: { readonly advised: boolean; readonly trialCost: number };
  readonly isTierRaised: boolean;
  readonly conflicts: readonly Conflict[];
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

/**
 * Stations of a machine: those of its family, with what its archetype adds and lacks, and what the request says of it.
 * A station named by the request decides over both.
 */
export function stationsOf(
  { family, archetype, stations }: Pick<IsolateRequest["machine"], "family" | "archetype" | "stations">,
  knowledge: Pick<Knowledge, "families" | "archetypes">,
): ReadonlySet<string> {
  const usual = knowledge.families.find(({ id }) => id === family)?.stations ?? [];
  const kind = knowledge.archetypes.find(({ id }) => id === archetype);
  const present = new Set([...usual, ...(kind?.adds ?? [])]);
  for (const id of kind?.lacks ?? []) present.delete(id);
  for (const { id, present: isThere } of stations ?? [])
    if (isThere) present.add(id);
    else present.delete(id);
  return present;
}

/** Moves that can be made on a machine of this family with these stations. */
export function movesFor(moves: readonly Move[], family: string, stations: ReadonlySet<string>): Move[] {
  return moves.filter(
    (move) => move.families.includes(family) && move.stations.every((station) => stations.has(station)),
  );
}

function modelOf(request: IsolateRequest, knowledge: IsolationKnowledge, limits: Limits): Result<Model> {
  const { family } = request.machine;
  const stations = stationsOf(request.machine, knowledge);
  const faults = faultsFor(knowledge.faults, family, stations);
  if (faults.length === 0) {
    const known = [...new Set(knowledge.faults.flatMap(({ families }) => families))].join(", ");
    return fail(
      issue(
        "machine.family",
        "isolation/family-not-covered",
        `Isolation does not cover the family "${family}" yet: it covers ${known}.`,
        family,
      ),
    );
  }
  const moves = movesFor(knowledge.moves, family, stations);
  const hypotheses = buildHypotheses(faults, family, request.options?.maxRoots ?? 2, limits);
  const table = buildOutcomeTable(faults, moves, knowledge, limits);
  return ok(modelFrom(hypotheses, moves, table));
}

/** Builds the model of a machine, or finds the one that was built for the same request before. */
type Models = (request: IsolateRequest) => Result<Model>;

function keptModels(knowledge: IsolationKnowledge, limits: Limits): Models {
  const kept = new Map<string, Result<Model>>();
  return (request) => {
    const { family, archetype, stations } = request.machine;
    const key = JSON.stringify([family, archetype, stations, request.options?.maxRoots]);
    const known = kept.get(key) ?? modelOf(request, knowledge, limits);
    kept.set(key, known);
    return known;
  };
}

function prepare(request: IsolateRequest, models: Models): Result<Prepared> {
  const model = models(request);
  if (!model.ok) return model;
  const interventions = request.interventions ?? [];
  const given = request.evidence.map(
    (one): Answer => ({ ...one, epoch: one.epoch ?? 0, circumstance: one.circumstance ?? "cold" }),
  );
  const faultIds = new Set(model.value.hypotheses.faults.map(({ id }) => id));
  const answers = checkEvidence(given, interventions, model.value.moves, faultIds);
  return answers.ok ? ok({ model: model.value, answers: answers.value, interventions }) : answers;
}

function gateOf(
  model: Model,
  leading: Suspect | undefined,
  answers: readonly Answer[],
): Isolation["purchaseGate"] {
  const proofs = model.hypotheses.faults
    .filter(({ id }) => leading?.roots.includes(id))
    .flatMap(({ provenBy }) => provenBy);
  const isProven = proofs.some((proof) =>
    answers.some(({ moveId, outcomeId }) => moveId === proof.moveId && outcomeId === proof.outcomeId),
  );
  return isProven ? { open: true, needs: [] } : { open: false, needs: ["direct-proof"] };
}

function liveBlocks(request: IsolateRequest): string[] {
  return request.bench?.deadChecksPassed === true ? [] : ["dead-checks"];
}

/**
 * Where the fault sits and what to do next, from the answers so far. Exact by enumeration.
 *
 * Defaults: cold, epoch 0, two roots, one step ahead, machine not dead and not drained, dead checks not passed, worth 200.00.
 * @returns suspects and stations that each add up to one with the row of more than one root; issues when an answer
 * does not belong to the machine, or when nothing explains the answers.
 */
function isolateWith(
  request: IsolateRequest,
  models: Models,
  knowledge: IsolationKnowledge,
  limits: Limits,
): Result<Isolation> {
  const prepared = prepare(request, models);
  if (!prepared.ok) return prepared;
  const { model, answers, interventions } = prepared.value;
  const belief = posterior(model, answers, interventions);
  if (!belief)
    return fail(
      issue(
        "evidence",
        "isolation/nothing-explains",
        "No set of faults explains these answers: strike out the one that is most in doubt.",
      ),
    );
  const { bench } = request;
  const isDead = bench?.plug === "unplugged" || bench?.plug === "isolated";
  const lastEpoch = Math.max(0, ...interventions.map(({ epoch }) => epoch));
  const asked = new Set(
    request.evidence.filter(({ epoch }) => (epoch ?? 0) === lastEpoch).map(({ moveId }) => moveId),
  );
  const advice = adviseMoves(model, belief, asked, {
    limits,
    access: knowledge.access,
    repairs: knowledge.repairs,
    prices: Object.fromEntries(
      (request.costs?.partPrices ?? []).map(({ repair, minor }) => [repair, minor] as const),
    ),
    standing: { isDead, isDrained: isDead && bench?.drained === true, opened: bench?.opened ?? [] },
    circumstance: answers.at(-1)?.circumstance ?? "cold",
    rankingRatePerHourMinor: request.costs?.rankingRatePerHour?.minor,
    giveUp: request.machine.value?.minor ?? limitOf(limits, "machine-price-default").value,
    lookAhead: request.options?.lookAhead === 2 ? 2 : 1,
    liveBlocks: liveBlocks(request),
    interventions,
  });
  const spoken = eachAnswer(model, answers, interventions);
  const named = suspects(model, belief, spoken);
  const conflict = findConflict(model, belief, answers, interventions, limits);
  return ok({
    suspects: named,
    stations: stationShares(
      model,
      belief,
      knowledge.stations.filter(({ id }) => stationsOf(request.machine, knowledge).has(id)),
      spoken,
      limits,
    ),
    moves: advice.moves,
    trials: advice.trials,
    stop: { advised: advice.isStopAdvised, trialCost: advice.trialCost },
    isTierRaised: advice.isTierRaised,
    conflicts: conflict ? [conflict] : [],
    purchaseGate: gateOf(model, named[0], answers),
    basis: {
      knowledgeVersion: knowledge.version,
      hypotheses: model.hypotheses.all.length,
      maxRoots: request.options?.maxRoots ?? 2,
      states: model.table.size(),
    },
  });
}

/** An isolator for one state of the knowledge; it keeps the model of each kind of machine it was asked about. */
export function createIsolator(
  knowledge: IsolationKnowledge,
  limits: Limits,
): (request: IsolateRequest) => Result<Isolation> {
  const models = keptModels(knowledge, limits);
  return (request) => isolateWith(request, models, knowledge, limits);
}
