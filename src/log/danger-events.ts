import type { DeadCheck, Fault, Move } from "@/core/knowledge/types";
import { type Remedy, RUN } from "@/core/safety/dangers/danger";
import type { DangerEvent } from "@/core/safety/energy-event";
import { HARMS_OF_PROTECTION } from "@/core/safety/explains";
import { answerKey, type EnergyContext } from "./energy-of";

/** Tests that are each other's, or harder than the other: passed, they stand for it. */
const STANDS_FOR: ReadonlyMap<string, readonly string[]> = new Map([
  ["check:insulation", ["check:ohms-to-metal"]],
]);
/** The same current by the same clamp, as a move and as a dead check. */
const SAME: ReadonlyMap<string, string> = new Map([["leakage-clamp", "check:leakage"]]);

/** The name of the test that an answer to a move amounts to: that of the dead check which is the same. */
export function testOf(moveId: string, { deadChecks }: Pick<EnergyContext, "deadChecks">): string {
  const check = [...deadChecks.values()].find(({ tells }) => tells?.passed.moveId === moveId);
  return check ? `check:${check.id}` : (SAME.get(moveId) ?? `move:${moveId}`);
}

function passed(test: string): DangerEvent {
  return { event: "tested", tests: [test, ...(STANDS_FOR.get(test) ?? [])] };
}

function failed(
  kind: keyof typeof HARMS_OF_PROTECTION,
  place: string,
  remedies: readonly Remedy[],
  test = place,
): DangerEvent[] {
  const can = HARMS_OF_PROTECTION[kind];
  return [
    ...remedies.map((remedy): DangerEvent => ({ event: "explained", can, remedy, isOutside: false })),
    { event: "danger", kind, place, remedies, test },
  ];
}

const provenFaults = (key: string, { proofs }: Pick<EnergyContext, "proofs">): readonly Fault[] =>
  proofs.get(key) ?? [];

/** What mends it: the fault that was proved, or work at the stations that are named; of neither, any that can spoil insulation. */
function remediesOf(faults: readonly Fault[], stations: readonly string[] | undefined): readonly Remedy[] {
  const named: readonly Remedy[] = [
    ...(faults.length > 0 ? [{ faults: faults.map(({ id }) => id) }] : []),
    ...(stations === undefined ? [] : [{ stations }]),
  ];
  return named.length > 0 ? named : [{ spoils: "insulation" }];
}

/** What an answer says of protections: failed it is a danger and a reason, passed it is the test that closes one. */
export function spokeOf(
  { id, speaksOf, power }: Move,
  outcomeId: string,
  context: EnergyContext,
): readonly DangerEvent[] {
  const test = testOf(id, context);
  const faults = provenFaults(answerKey(id, outcomeId), context);
  return speaksOf.flatMap((one): readonly DangerEvent[] => {
    if (one.passed.includes(outcomeId)) return [passed(test)];
    if (one.of === "own-test" || !one.failed.includes(outcomeId)) return [];
    // What only a licensed person reads cannot be read again here: a clean run shows it.
    return failed(one.of, test, remediesOf(faults, one.stations), power === "licensed" ? RUN : test);
  });
}

const PROTECTION_OF = { look: "cord", earth: "earth", insulation: "insulation" } as const;
/** Where a lost earth is mended; a look and insulation may fail anywhere. */
const EARTH_AT: readonly string[] = ["supply", "connections"];

/** What a dead check says. */
export function checkedOf(
  { id, proves, tells }: DeadCheck,
  verdict: "passed" | "failed" | "undecided",
  context: EnergyContext,
): readonly DangerEvent[] {
  const test = `check:${id}`;
  if (verdict === "passed") return [passed(test)];
  if (verdict === "undecided") return [];
  const faults = tells ? provenFaults(answerKey(tells.failed.moveId, tells.failed.outcomeId), context) : [];
  return failed(PROTECTION_OF[proves], test, remediesOf(faults, proves === "earth" ? EARTH_AT : undefined));
}
