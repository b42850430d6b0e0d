import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { KNOWLEDGE } from "../shop-context";

export const isolate = createIsolator(KNOWLEDGE);

export type Said = readonly [moveId: string, outcomeId: string, epoch?: number];

export function request(said: readonly Said[], change: Partial<IsolateRequest> = {}): IsolateRequest {
  return {
    machine: { family: "capacitor-start", value: { minor: 24_000, currency: "EUR" } },
    bench: { plug: "unplugged", drained: true, deadChecksPassed: true, opened: ["capacitor-cover"] },
    evidence: said.map(([moveId, outcomeId, epoch], index) => ({
      seq: index + 1,
      moveId,
      outcomeId,
      ...(epoch === undefined ? {} : { epoch }),
    })),
    ...change,
  } as IsolateRequest;
}

export function isolated(said: readonly Said[], change: Partial<IsolateRequest> = {}): Isolation {
  const answer = isolate(request(said, change));
  if (!answer.ok) throw new Error(answer.issues.map(({ message }) => message).join(" "));
  return answer.value;
}

export const station = (isolation: Isolation, id: string): number =>
  isolation.stations.find((one) => one.id === id)?.chance ?? -1;
export const chanceOf = (isolation: Isolation, id: string): number =>
  isolation.suspects.find(({ roots }) => roots[0] === id)?.chance ?? -1;
