import type { PowerUse } from "../knowledge/touches";
import type { DeadCheck } from "../knowledge/types";
import type { BenchMachine, BenchState } from "./bench-state";
import { type Danger, HERE, openDangers, RUN, withholding } from "./dangers/danger";
import { checksFor } from "./dead-checks";
import type { WorkedOn } from "./energy-event";
import type { LiveState } from "./live-state";

/** Why power is not given now, the hardest reason first. Codes; screens and refusals word them. */
export const LIVE_GAPS = [
  "stop",
  "scope",
  "air",
  "licensed",
  "danger",
  "look-inside",
  "dead-checks",
  "family",
  "cover-open",
  "parts-off",
  "clip",
  "fixed-outlet",
  "outlet-not-named",
  "outlet",
] as const;
export type LiveGap = (typeof LIVE_GAPS)[number];

/** What live work depends on beside the state. */
export interface LiveFacts {
  /** As it may be relied on now. */
  readonly bench: BenchState;
  readonly live: LiveState;
  readonly machine: BenchMachine;
  readonly deadChecks: readonly DeadCheck[];
  /** Whether all that came off is back. */
  readonly hasAllBack: boolean;
  /** Whether the shop has named its residual-current outlet. */
  readonly isOutletNamed: boolean;
}

/** How power is used for the one test under power that closes a danger. */
const TEST_UNDER: ReadonlyMap<string, readonly PowerUse[]> = new Map<string, readonly PowerUse[]>([
  [RUN, ["guards-on"]],
  ["check:leakage", ["leakage", "guards-on"]],
]);

/** Open dangers that keep power off: mended ones give way to the one test under power that closes them. */
export function dangersAgainst(dangers: readonly Danger[], power: PowerUse): readonly Danger[] {
  return withholding(dangers, "power").filter(
    ({ remediedBy, test }) => remediedBy === 0 || TEST_UNDER.get(test)?.includes(power) !== true,
  );
}

/** Line of the last thing that took a proof away; 0 when nothing did. */
export function spoiltAt({ spoilt }: LiveState, proof: string): number {
  return spoilt.find((one) => one.proof === proof)?.seq ?? 0;
}

/** Whether a check passed after a line, and not as live work without its grant. */
function hasPassed(live: LiveState, checkId: string, since: number): boolean {
  return live.checks.some(
    (one) =>
      one.checkId === checkId &&
      one.verdict === "passed" &&
      one.seq > since &&
      !live.withoutGrant.includes(one.seq),
  );
}

const OURS: ReadonlySet<WorkedOn> = new Set<WorkedOn>(["repair", "wires", "parts", "machine"]);

/** Whether leakage may stand for insulation: never after shock, water, smoke or a tripped residual-current device. */
function mayLeakageStand(live: LiveState): boolean {
  const spoilt = live.spoilt.find(({ proof }) => proof === "insulation");
  const isHere = openDangers(live.dangers).some(({ place }) => place === HERE);
  return live.toldSeq === 0 && !isHere && (spoilt === undefined || OURS.has(spoilt.on));
}

/** Whether a check passed and nothing took that proof away since; leakage stands for insulation where it may. */
function isProved(check: DeadCheck, live: LiveState): boolean {
  const spoilt = spoiltAt(live, check.proves);
  if (hasPassed(live, check.id, spoilt)) return true;
  if (check.proves !== "insulation" || !mayLeakageStand(live)) return false;
  return hasPassed(live, "leakage", spoilt) && hasPassed(live, "ohms-to-metal", spoilt);
}

/** The dead checks that this machine owes before power, those of its class that are not proved as it stands now. */
export function owedBeforePower({
  live,
  machine,
  deadChecks,
}: Pick<LiveFacts, "live" | "machine" | "deadChecks">): string[] {
  return checksFor(deadChecks, machine.protection)
    .filter((check) => !isProved(check, live))
    .map(({ id }) => id);
}

/** The same before a leakage current is read in place of insulation: look, earth and ohms to metal passed. */
function owedBeforeLeakage(facts: Pick<LiveFacts, "live" | "machine" | "deadChecks">): string[] {
  const { live } = facts;
  const mayRead = mayLeakageStand(live) && hasPassed(live, "ohms-to-metal", spoiltAt(live, "insulation"));
  return owedBeforePower(facts).filter((id) => !(id === "insulation" && mayRead));
}

function outletGap({ bench, machine, isOutletNamed }: LiveFacts): LiveGap | undefined {
  if (machine.connection === "battery") return undefined;
  const isBehindIt = bench.plug === "plugged-in" && bench.outlet === "residual-current";
  if (machine.connection === "fixed") return isBehindIt ? undefined : "fixed-outlet";
  // Whatever is said of an outlet that the shop does not have.
  if (!isOutletNamed) return "outlet-not-named";
  return isBehindIt ? undefined : "outlet";
}

/** @returns what stands between the machine and power used so, now; empty when it is granted. */
export function liveGaps(facts: LiveFacts, power: PowerUse): LiveGap[] {
  if (power === "off") return [];
  const { bench, live, machine } = facts;
  const gap = (stands: boolean, code: LiveGap): LiveGap[] => (stands ? [code] : []);
  const outlet = outletGap(facts);
  return [
    ...gap(machine.blocks.includes("power"), "stop"),
    ...gap(machine.isOutOfScope, "scope"),
    ...gap(
      machine.airs.some((id) => !bench.hazardsSeenTo.includes(id)),
      "air",
    ),
    ...gap(power === "licensed", "licensed"),
    ...gap(dangersAgainst(live.dangers, power).length > 0, "danger"),
    ...gap(live.owesLookInside, "look-inside"),
    ...gap(
      (power === "leakage" ? owedBeforeLeakage(facts) : owedBeforePower(facts)).length > 0,
      "dead-checks",
    ),
    ...gap(power === "measured" && machine.family === "not-known", "family"),
    ...gap(bench.opened.length > 0, "cover-open"),
    ...gap(!facts.hasAllBack, "parts-off"),
    ...gap(
      bench.stored.some(({ clip }) => clip === true),
      "clip",
    ),
    ...(outlet ? [outlet] : []),
  ];
}

/** What is worth saying before power, and withholds nothing. */
export type LiveWarning = "cover-was-opened" | "burnt-was-told";

export function liveWarnings({ live }: Pick<LiveFacts, "live">): LiveWarning[] {
  const lastLook = live.checks.find(({ proves }) => proves === "look")?.seq ?? 0;
  return [
    ...(live.openedSeq > lastLook ? (["cover-was-opened"] as const) : []),
    ...(live.toldSeq > 0 && !live.owesLookInside ? (["burnt-was-told"] as const) : []),
  ];
}
