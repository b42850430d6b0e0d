/** Turns a payload of version n into one of version n + 1. Pure; entries on disk are never rewritten. */
export type Upcaster = (payload: unknown) => unknown;

/** Adds fields that did not exist yet, each as "nothing was said". */
export const withFields =
  (fields: Readonly<Record<string, unknown>>): Upcaster =>
  (payload) =>
    Object.assign({}, payload, fields);
