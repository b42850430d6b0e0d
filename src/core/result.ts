/** What was wrong with which value, in words a repairer can act on. */
export interface Issue {
  /** Dotted path to the field, such as `input.reading`; empty for the whole. */
  readonly path: string;
  /** Stable machine-readable code, such as `reading/unreadable`. */
  readonly code: string;
  /** One sentence: the field, the value, and what would be accepted. */
  readonly message: string;
  /** The value as it was given. */
  readonly given?: unknown;
}

export interface Ok<T> {
  readonly ok: true;
  readonly value: T;
}

export interface Failed {
  readonly ok: false;
  readonly issues: readonly Issue[];
}

/** Expected failure is a value: never an exception, never null. */
export type Result<T> = Ok<T> | Failed;

export function ok<T>(value: T): Ok<T> {
  return { ok: true, value };
}

export function fail(...issues: readonly Issue[]): Failed {
  return { ok: false, issues };
}

export function issue(path: string, code: string, message: string, given?: unknown): Issue {
  return given === undefined ? { path, code, message } : { path, code, message, given };
}

/** The same issues, seen from one level further out. */
export function at(prefix: string, issues: readonly Issue[]): Issue[] {
  return issues.map((one) => ({ ...one, path: one.path === "" ? prefix : `${prefix}.${one.path}` }));
}
