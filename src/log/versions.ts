/** Turns a payload of version n into one of version n + 1. Pure; entries on disk are never rewritten. */
export type Upcaster = (payload: unknown) => unknown;

/** Adds fields that did not exist yet, each as "nothing was said". */
export const withFields =
  (fields: Readonly<Record<string, unknown>>): Upcaster =>
  (payload) =>
    Object.assign({}, payload, fields);

/** The same in each row of a list that a payload has. */
export const inEach =
  (list: string, fields: Readonly<Record<string, unknown>>): Upcaster =>
  (payload) => {
    const rows: unknown = Reflect.get(Object(payload), list);
    const each = Array.isArray(rows) ? rows.map(withFields(fields)) : rows;
    return Object.assign({}, payload, { [list]: each });
  };
