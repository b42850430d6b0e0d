import type { Fault } from "../knowledge/types";
import type { Intervention } from "./evidence";
import type { Hypothesis } from "./hypotheses";
import { type Model, stateWith } from "./model";

/** A set of faults that may be present now, with its weight. */
interface Branch {
  readonly faults: readonly number[];
  /** Consequences that were cured while what brings them about stayed. */
  readonly cured: readonly number[];
  readonly weight: number;
  /** The state it was in at the end of each epoch so far. */
  readonly states: readonly number[];
}

/** One way the machine may have come from a hypothesis: its state in each epoch, what is wrong in the end, its chance. */
export interface Path {
  readonly states: readonly number[];
  readonly faults: readonly number[];
  readonly weight: number;
}

/** Something that was done: the faults it may cure and those it may leave behind, by their places in the model. */
interface Work {
  readonly targets: readonly number[];
  readonly success: number;
  readonly brings: readonly { readonly places: readonly number[]; readonly chance: number }[];
}

/** What was done epoch by epoch, looked up in the model once for all hypotheses. */
export interface Plan {
  /** The same for the same work on the same model. */
  readonly key: string;
  readonly epochs: readonly { readonly done: readonly Work[]; readonly isPowered: boolean }[];
}

function indices(model: Model, faultIds: readonly string[]): number[] {
  return model.hypotheses.faults.flatMap(({ id }, index) => (faultIds.includes(id) ? [index] : []));
}

/** @param isPowered whether the machine ran in each epoch: only then can a cured consequence come back */
export function planOf(
  model: Model,
  interventions: readonly Intervention[],
  isPowered: readonly boolean[],
): Plan {
  return {
    key: JSON.stringify([interventions, isPowered]),
    epochs: isPowered.map((powered, epoch) => ({
      isPowered: powered,
      done: interventions
        .filter((one) => one.epoch === epoch)
        .map(
          ({ faultIds, success, brings = [] }): Work => ({
            targets: indices(model, faultIds),
            success,
            brings: brings.map(({ faultId, chance }) => ({ places: indices(model, [faultId]), chance })),
          }),
        ),
    })),
  };
}

/** A fault that was worked on and is still there may show in another way than before. */
function shownAnew(model: Model, branch: Branch, worked: readonly number[]): Branch[] {
  const { faults } = model.hypotheses;
  return worked.reduce<Branch[]>(
    (spread, place) => {
      const ways = [...faults.keys()].filter((other) => faults[other]?.id === faults[place]?.id);
      return spread.flatMap((one) =>
        ways.map((way) => ({
          ...one,
          faults: one.faults.map((fault) => (fault === place ? way : fault)).sort((a, b) => a - b),
          weight: one.weight * (faults[way]?.share ?? 1),
        })),
      );
    },
    [branch],
  );
}

/** Each branch splits in two: the intervention took away what it was meant to, or it did not. */
function intervene(
  model: Model,
  branches: readonly Branch[],
  targets: readonly number[],
  success: number,
): Branch[] {
  return branches.flatMap((branch) => {
    const gone = branch.faults.filter((fault) => targets.includes(fault));
    // What could not have helped has changed nothing.
    if (gone.length === 0 || success === 0) return [branch];
    const cured = {
      faults: branch.faults.filter((fault) => !targets.includes(fault)),
      cured: [...new Set([...branch.cured, ...gone])].sort((a, b) => a - b),
    };
    return [
      { ...branch, ...cured, weight: branch.weight * success },
      ...shownAnew(model, { ...branch, weight: branch.weight * (1 - success) }, gone),
    ];
  });
}

/** Work may leave behind what was not there: a wrong part, a lead left off. It shows in any of its ways. */
function bringIn(model: Model, branches: readonly Branch[], brings: Work["brings"]): Branch[] {
  const { faults } = model.hypotheses;
  return brings.reduce<Branch[]>(
    (spread, { places, chance }) =>
      places.length === 0
        ? spread
        : spread.flatMap((one) =>
            places.some((place) => one.faults.includes(place))
              ? [one]
              : [
                  { ...one, weight: one.weight * (1 - chance) },
                  ...places.map((place) => ({
                    ...one,
                    faults: [...one.faults, place].sort((a, b) => a - b),
                    weight: one.weight * chance * (faults[place]?.share ?? 1),
                  })),
                ],
          ),
    [...branches],
  );
}

function edgeChance(fault: Fault | undefined, to: Fault | undefined): number {
  return fault?.leadsTo.find((edge) => edge.fault === to?.id)?.chance ?? 0;
}

/** A cured consequence whose root stayed comes back with its edge's chance at the next powered run. */
function comeBack(model: Model, branches: readonly Branch[]): Branch[] {
  const { faults } = model.hypotheses;
  return branches.flatMap((branch) => {
    let spread: Branch[] = [{ ...branch, cured: [] }];
    for (const lost of branch.cured) {
      const stays = branch.faults.reduce(
        (product, from) => product * (1 - edgeChance(faults[from], faults[lost])),
        1,
      );
      if (stays === 1) continue;
      spread = spread.flatMap((one) => [
        { ...one, weight: one.weight * stays },
        { ...one, faults: [...one.faults, lost].sort((a, b) => a - b), weight: one.weight * (1 - stays) },
      ]);
    }
    return spread;
  });
}

/**
 * Share of a hypothesis below which a way is not followed: work upon work that fails and leaves something behind each time
 * makes more ways than can be weighed, all of them together next to nothing.
 */
const LEAST_FOLLOWED = 1e-7;

/** The ways worth following, their weights as one again. */
function followed(branches: readonly Branch[]): Branch[] {
  const kept = branches.filter(({ weight }) => weight >= LEAST_FOLLOWED);
  const sum = kept.reduce((total, { weight }) => total + weight, 0);
  return kept.map((branch) => ({ ...branch, weight: branch.weight / sum }));
}

/** Those that went through the same states, with the same still to come, are one. */
function merged(branches: readonly Branch[]): Branch[] {
  const found = new Map<string, Branch>();
  for (const branch of branches) {
    const key = `${branch.states.join()}|${branch.faults.join()}|${branch.cured.join()}`;
    const known = found.get(key);
    found.set(key, known ? { ...known, weight: known.weight + branch.weight } : branch);
  }
  return [...found.values()];
}

/** Every way the machine may have come from one hypothesis; their weights sum to one. */
export function pathsOf(model: Model, { faults, kind }: Hypothesis, plan: Plan): readonly Path[] {
  let branches: Branch[] = [{ faults, cured: [], weight: 1, states: [] }];
  plan.epochs.forEach(({ done, isPowered }, epoch) => {
    for (const { targets, success, brings } of done)
      branches = bringIn(model, intervene(model, branches, targets, success), brings);
    if (epoch > 0 && isPowered) branches = comeBack(model, branches);
    branches = branches.map((branch) => ({
      ...branch,
      states: [...branch.states, stateWith(model.table, branch.faults, kind)],
    }));
    if (done.length > 0) branches = followed(merged(branches));
  });
  return branches;
}

/** The paths of all hypotheses of a model, one after the other. */
export interface AllPaths {
  /** Where the paths of each hypothesis begin, and the end of the last. */
  readonly begins: Int32Array;
  /** State of each path in each epoch, path by path. */
  readonly states: Int32Array;
  readonly weights: Float64Array;
  /** What is wrong in the end of each path. */
  readonly faults: readonly (readonly number[])[];
  readonly epochs: number;
}

function allPaths(model: Model, plan: Plan): AllPaths {
  const begins: number[] = [0];
  const states: number[] = [];
  const weights: number[] = [];
  const faults: (readonly number[])[] = [];
  for (const hypothesis of model.hypotheses.all) {
    for (const path of pathsOf(model, hypothesis, plan)) {
      for (const state of path.states) states.push(state);
      weights.push(path.weight);
      faults.push(path.faults);
    }
    begins.push(weights.length);
  }
  return {
    begins: Int32Array.from(begins),
    states: Int32Array.from(states),
    weights: Float64Array.from(weights),
    faults,
    epochs: plan.epochs.length,
  };
}

/** Each answer asks for the same few again; more are not kept. */
const MOST_KEPT = 6;
const kept = new WeakMap<Model["hypotheses"], Map<string, AllPaths>>();

/** The paths of a model after some work: they do not depend on what was read, and are worked out once. */
export function keptPaths(model: Model, plan: Plan): AllPaths {
  const known = kept.get(model.hypotheses) ?? new Map<string, AllPaths>();
  kept.set(model.hypotheses, known);
  const found = known.get(plan.key) ?? allPaths(model, plan);
  // The one asked for last is dropped last.
  known.delete(plan.key);
  known.set(plan.key, found);
  const [oldest] = known.keys();
  if (known.size > MOST_KEPT && oldest !== undefined) known.delete(oldest);
  return found;
}
