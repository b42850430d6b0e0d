import type { BeforeOrder } from "../knowledge/fault-page.input";
import type { Fault } from "../knowledge/types";
import type { Answer, Intervention } from "./evidence";
import type { Suspect } from "./explain";
import type { Model } from "./model";
import type { Renewed } from "./renewed-with";

/** What was answered, and what was done meanwhile. */
interface Found {
  readonly answers: readonly Answer[];
  readonly interventions: readonly Intervention[];
}

/** What buying waits for, and what would prove the leading suspect. */
export interface Gate {
  readonly open: boolean;
  readonly needs: readonly string[];
  /** Moves that would prove the leading suspect, those not made since it was worked on. */
  readonly proofs: readonly string[];
  /** Chance of the leading suspect. */
  readonly chance: number;
  /** Repairs of what it brought about, made together with its own cure. */
  readonly renewed: Renewed;
  /** It, or a fault with the same cure, was found directly: once is enough for this. */
  readonly isProven: boolean;
}

/** Moves that were made since the last work. */
function madeSince({ answers, interventions }: Found): ReadonlySet<string> {
  const last = Math.max(0, ...interventions.map(({ epoch }) => epoch));
  return new Set(answers.filter(({ epoch }) => epoch === last).map(({ moveId }) => moveId));
}

/** The repair that condemns the motor. */
const CONDEMNS = "fit-motor";

/** Answers that prove a fault directly. What was read before a part was replaced belongs to the part that is gone. */
function proofsGiven({ id, provenBy, isConsequence }: Fault, { answers, interventions }: Found): Answer[] {
  // That a fuse is open says nothing of why.
  if (isConsequence) return [];
  return answers.filter(
    ({ moveId, outcomeId, epoch }) =>
      provenBy.some((proof) => moveId === proof.moveId && outcomeId === proof.outcomeId) &&
      !interventions.some((done) => done.epoch > epoch && done.faultIds.includes(id)),
  );
}

/**
 * Whether the leading suspect is proven: it, or any fault that the same repair cures. One reading condemns no motor: it is
 * read once more, the probes touched together in between.
 */
export function gateOf(model: Model, leading: Suspect | undefined, found: Found): Gate {
  const { faults } = model.hypotheses;
  const named = faults.filter(({ id }) => leading?.roots.includes(id) || leading?.alike.includes(id));
  const sameCure = faults.filter(({ fix }) => named.some((one) => one.fix.repair === fix.repair));
  const given = new Set(sameCure.flatMap((fault) => proofsGiven(fault, found)));
  const chance = leading?.chance ?? 0;
  const own = named.map(({ fix }) => fix.repair);
  const brought = faults.filter(
    ({ id, fix }) => leading?.consequences.includes(id) && !own.includes(fix.repair),
  );
  const renewed = { repairs: brought.map(({ fix }) => fix.repair), cure: [...new Set(own)].sort().join() };
  const isRead = ({ moveId }: Answer): boolean =>
    model.moves.find(({ id }) => id === moveId)?.kind === "reading";
  const isCondemned = named.some(({ fix }) => fix.repair === CONDEMNS);
  const [once] = given;
  if (once && isCondemned && given.size === 1 && isRead(once))
    return {
      open: false,
      needs: ["repeated-reading"],
      proofs: [once.moveId],
      chance,
      renewed,
      isProven: true,
    };
  if (once) return { open: true, needs: [], proofs: [], chance, renewed, isProven: true };
  const made = madeSince(found);
  const proofs = named.flatMap(({ provenBy }) => provenBy.map(({ moveId }) => moveId));
  return {
    open: false,
    needs: ["direct-proof"],
    proofs: [...new Set(proofs)].filter((id) => !made.has(id)),
    chance,
    renewed,
    isProven: false,
  };
}

/** One reading is repeated before it costs a motor. */
const ONCE_MORE = "One reading condemns no motor: touch the probes together, zero them, and read once more.";

/** What is still to be looked at before the part is ordered: what this machine has and nobody looked at since the last work. */
export function beforeOrderOf(
  model: Model,
  found: Found,
  leading: Suspect | undefined,
  gate: Gate,
): readonly BeforeOrder[] {
  if (!gate.isProven) return [];
  const made = madeSince(found);
  const can = new Set(model.moves.filter(({ power }) => power !== "licensed").map(({ id }) => id));
  const behind = model.hypotheses.faults
    .filter(({ id }) => leading?.roots.includes(id))
    .flatMap(({ beforeOrder }) => beforeOrder)
    .filter(({ moveId }) => can.has(moveId) && !made.has(moveId));
  const once = gate.proofs.map((moveId) => ({ moveId, why: ONCE_MORE }));
  return [...new Map([...behind, ...once].map((one) => [one.moveId, one])).values()];
}
