import { machinePrice } from "../../decision/decision-case";
import type { IsolateRequest } from "../../isolation/isolate.input";
import type { ShopCounts } from "../../isolation/shop-counts";
import type { Parameters } from "../../knowledge/parameters";
import { signMove, TOLD } from "../../knowledge/sign-move";
import type { Access, Knowledge } from "../../knowledge/types";
import type { BenchGap } from "../../safety/bench-gaps";
import type { BenchState } from "../../safety/bench-state";
import type { LiveGap } from "../../safety/live-work";
import { kindByName } from "../door/machine-kind";
import type { Complaint } from "../log/entry";
import type { JobAnswer, JobView } from "../log/reduce";
import { owedChecks } from "../next-step";

/** What the request needs to know beside the job. */
export interface RequestContext {
  readonly signs: Knowledge["signs"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly access: readonly Access[];
  readonly archetypes: Knowledge["archetypes"];
  readonly stations: Knowledge["stations"];
  readonly moves: Knowledge["moves"];
  readonly parameters: Parameters;
  readonly settings: { readonly currency: string };
  readonly counts: ShopCounts | undefined;
}

/** The bench as it may be relied on at this moment. */
export interface BenchNow {
  readonly bench: BenchState;
  /** What is not settled yet for hands inside and turning. */
  readonly unsettled: readonly BenchGap[];
  /** What withholds power. */
  readonly withheld: { readonly guardsOn: readonly LiveGap[]; readonly measured: readonly LiveGap[] };
}

/** What stands open, as the access that moves ask for: as it was said, or by its exact name in lines of before. */
function openedAccess({ ledger }: JobView, opened: readonly string[], access: readonly Access[]): string[] {
  return opened.flatMap((name) => {
    const line = ledger.findLast(
      (one) => one.kind === "opened" && !one.isStruck && one.payload.access === name,
    );
    const said = line?.kind === "opened" ? line.payload.is : "not-said";
    const found =
      said === "not-said"
        ? access.find(({ names }) => names.includes(name.trim().toLowerCase()))
        : access.find(({ id }) => id === said);
    return found ? [found.id] : [];
  });
}

/** Says nothing, and is not asked again. */
const NOT_ASKED = "not-sure";

const WHEN: Readonly<Record<Complaint["circumstance"], string | undefined>> = {
  always: "always",
  cold: "cold",
  hot: "hot",
  "after-minutes": "hot",
  loaded: "loaded",
  sometimes: "sometimes",
  "not-known": undefined,
};

/**
 * The complaint as the owner's words: every sign by itself, none dropped for another. Questions that it settles are not
 * asked any more; a question that was asked since speaks for itself.
 */
function ownersReport(
  { complaint, answers }: JobView,
  signs: Knowledge["signs"],
): IsolateRequest["evidence"] {
  if (!complaint) return [];
  const ticked = signs.filter(({ id }) => complaint.signs.includes(id));
  const when = WHEN[complaint.circumstance];
  const said: [moveId: string, outcomeId: string][] = [
    ...ticked.map(({ id }): [string, string] => [signMove(id), TOLD]),
    ...[...new Set(ticked.flatMap(({ settles }) => settles ?? []))].map((id): [string, string] => [
      id,
      NOT_ASKED,
    ]),
    ...(when ? [["ask-when", when] as [string, string]] : []),
  ];
  const asked = new Set(answers.map(({ moveId }) => moveId));
  return said
    .filter(([moveId]) => !asked.has(moveId))
    .map(([moveId, outcomeId]) => ({
      seq: complaint.seq,
      epoch: 0,
      circumstance: "cold",
      moveId,
      outcomeId,
    }));
}

/** The machine as isolation takes it: its kind by its name, its stations as they were said. */
function machineOf(job: JobView, context: RequestContext): IsolateRequest["machine"] {
  const family = job.takenIn?.family ?? "not-known";
  const kind = kindByName(job.takenIn?.machine ?? "", context.archetypes);
  const said = job.stations;
  return {
    family,
    ...(kind ? { archetype: kind.id } : {}),
    ...(said ? { stations: context.stations.map(({ id }) => ({ id, present: said.includes(id) })) } : {}),
    value: { minor: machinePrice(job.prices, context.parameters), currency: context.settings.currency },
  };
}

/** The counts as a request carries them: lists of its own. */
function plainCounts({ jobs, faults, answers }: ShopCounts) {
  return { jobs: [...jobs], faults: [...faults], answers: [...answers] };
}

/** A job as isolation takes it, with the prices that are known for it. */
export function isolationRequest(
  job: JobView,
  { bench, unsettled, withheld }: BenchNow,
  context: RequestContext,
): IsolateRequest {
  const machine = machineOf(job, context);
  // A clue to the kind of motor has done its work once the kind is settled: it is no move of that kind.
  const isMeant = ({ moveId }: JobAnswer): boolean =>
    context.moves.find(({ id }) => id === moveId)?.families.includes(machine.family) ?? true;
  return {
    machine,
    bench: {
      plug: bench.plug,
      drained: !unsettled.some((gap) => gap === "charge" || gap === "plug" || gap === "battery"),
      unsettled: [...unsettled],
      withheld: { guardsOn: [...withheld.guardsOn], measured: [...withheld.measured] },
      deadChecksPassed: owedChecks(job, context).length === 0,
      opened: openedAccess(job, bench.opened, context.access),
    },
    evidence: [
      ...ownersReport(job, context.signs),
      ...job.answers.filter(isMeant).map(({ seq, epoch, circumstance, moveId, outcomeId, ratio }) => ({
        seq,
        epoch,
        circumstance,
        moveId,
        outcomeId,
        ...(ratio ? { ratio } : {}),
      })),
    ],
    interventions: job.interventions.map(({ epoch, faultIds, success }) => ({
      epoch,
      faultIds: [...faultIds],
      success,
    })),
    costs: {
      partPrices: Object.entries(job.prices)
        .filter(([of]) => of !== "machine")
        .map(([repair, price]) => ({ repair, minor: price })),
    },
    // The last word: what the screen refines to and what the record is made from.
    options: {
      lookAhead: 2,
      maxRoots: 3,
      ...(context.counts ? { shopCounts: plainCounts(context.counts) } : {}),
    },
  };
}
