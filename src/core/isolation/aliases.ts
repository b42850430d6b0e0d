import type { Alias } from "../knowledge/types";
import type { IsolateRequest } from "./isolate.input";

/** A request whose renamed ids are those of today, so that old logs and old clients are understood. */
export function withoutAliases(request: IsolateRequest, aliases: readonly Alias[]): IsolateRequest {
  if (aliases.length === 0) return request;
  const renamed = new Map(aliases.map(({ id, now }) => [id, now]));
  const now = (id: string): string => renamed.get(id) ?? id;
  return {
    ...request,
    evidence: request.evidence.map((one) => ({ ...one, moveId: now(one.moveId) })),
    interventions: request.interventions?.map((one) => ({ ...one, faultIds: one.faultIds.map(now) })),
  };
}
