import type { IsolateRequest } from "../../isolation/isolate.input";
import type { ShopCounts } from "../../isolation/shop-counts";
import type { KindOfMachine } from "../../knowledge/kind-costs";
import { stationsOf } from "../../knowledge/machine-kind";
import type { Parameters } from "../../knowledge/parameters";
import { SILENT_ANSWERS } from "../../knowledge/silent-answers";
import type { Access, Knowledge } from "../../knowledge/types";
import type { BenchGap } from "../../safety/bench-gaps";
import type { BenchState } from "../../safety/bench-state";
import type { LiveGap } from "../../safety/live-work";
import { isolationCosts, jobCosts } from "../deciding/job-costs";
import { kindByName } from "../door/machine-kind";
import type { JobAnswer } from "../log/told-answers";
import type { JobView } from "../log/view";
import { owedChecks } from "../next-step";
import { openedAccess } from "../opened-access";
import { absentFaults, absentStations } from "./absent";
import { isOpenAgain } from "./could-not";
import { ownersReport } from "./owners-report";
import { saidElsewhere } from "./said-elsewhere";

/** What the request needs to know beside the job. */
export interface RequestContext {
  readonly signs: Knowledge["signs"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly access: readonly Access[];
  readonly archetypes: Knowledge["archetypes"];
  readonly stations: Knowledge["stations"];
  readonly moves: Knowledge["moves"];
  readonly faults: Knowledge["faults"];
  readonly families: Knowledge["families"];
  readonly repairs: Knowledge["repairs"];
  readonly kit: Knowledge["kit"];
  readonly parameters: Parameters;
  readonly settings: {
    readonly currency: string;
    readonly kit: readonly string[];
    readonly partsMarkupPercent: number;
  };
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

/** The family of its motor, and its kind by its name. */
export function kindOfMachine(
  { takenIn }: Pick<JobView, "takenIn">,
  archetypes: Knowledge["archetypes"],
): { readonly family: string; readonly archetype?: string } {
  const kind = kindByName(takenIn?.machine ?? "", archetypes);
  return { family: takenIn?.family ?? "not-known", ...(kind ? { archetype: kind.id } : {}) };
}

/** The same with what stands open. */
export function machineOnBench(
  job: JobView,
  { archetypes, access }: Pick<RequestContext, "archetypes" | "access">,
): KindOfMachine {
  return { ...kindOfMachine(job, archetypes), opened: openedAccess(job, job.bench.opened, access) };
}

/** The machine as isolation takes it: its stations as they were said. */
function machineOf(job: JobView, giveUpMinor: number, context: RequestContext): IsolateRequest["machine"] {
  const said = job.stations;
  const worked = new Set(job.interventions.flatMap(({ faultIds }) => faultIds));
  const worksAt = new Set(context.faults.flatMap(({ id, station }) => (worked.has(id) ? [station] : [])));
  // What was worked on is there.
  const absent = absentStations(job, context.moves).filter((id) => !worksAt.has(id));
  const without = absentFaults(job, context).filter((id) => !worked.has(id));
  const stations = context.stations.flatMap(({ id }) => {
    if (absent.includes(id)) return [{ id, present: false }];
    return said ? [{ id, present: said.includes(id) }] : [];
  });
  return {
    ...kindOfMachine(job, context.archetypes),
    ...(stations.length > 0 ? { stations } : {}),
    ...(without.length > 0 ? { without } : {}),
    value: { minor: giveUpMinor, currency: context.settings.currency },
  };
}

/** What work may have left behind, by the line it was written down as. */
function broughtBy(label: string, repairs: Knowledge["repairs"]) {
  const brings = Object.entries(repairs.find(({ done }) => done === label)?.brings ?? {});
  return brings.length === 0 ? {} : { brings: brings.map(([faultId, chance]) => ({ faultId, chance })) };
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
  const costs = isolationCosts(jobCosts(job, kindOfMachine(job, context.archetypes), context));
  const machine = machineOf(job, costs.giveUpMinor, context);
  const present = stationsOf(machine, context);
  const today = { kit: context.settings.kit, hasPower: withheld.guardsOn.length === 0 };
  const isMeant = (answer: JobAnswer): boolean => {
    const move = context.moves.find(({ id }) => id === answer.moveId);
    // A clue to the kind of motor has done its work once the kind is settled: it is no move of that kind.
    if (move && !move.families.includes(machine.family)) return false;
    // What said nothing is dropped with the station it was asked of, and once its reason is gone.
    const isSilent = SILENT_ANSWERS.has(answer.outcomeId);
    const isAbsent = move?.stations.some((station) => !present.has(station)) ?? false;
    return !(isSilent && isAbsent) && !isOpenAgain(answer, move, job, today);
  };
  return {
    machine,
    instruments: [...context.settings.kit],
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
      ...saidElsewhere(job).map((fact) => ({ ...fact, epoch: 0, circumstance: "cold" as const })),
      ...job.answers.filter(isMeant).map(({ seq, epoch, circumstance, moveId, outcomeId, ratio }) => ({
        seq,
        epoch,
        circumstance,
        moveId,
        outcomeId,
        ...(ratio ? { ratio } : {}),
      })),
    ],
    interventions: job.interventions.map(({ epoch, faultIds, success, label }) => ({
      epoch,
      faultIds: [...faultIds],
      success,
      ...broughtBy(label, context.repairs),
    })),
    costs: {
      partPrices: costs.partPrices,
      rankingRatePerHour: { minor: costs.ratePerHourMinor, currency: context.settings.currency },
    },
    // The last word: what the screen refines to and what the record is made from.
    options: {
      lookAhead: 2,
      maxRoots: 3,
      ...(context.counts ? { shopCounts: plainCounts(context.counts) } : {}),
    },
  };
}
