/** A rule of SAFETY, and how it is broken: text of a file that stands there once, and what takes its place. */
export interface Mutation {
  readonly rule: string;
  readonly file: string;
  readonly from: string;
  readonly to: string;
}

export const m = (rule: string, file: string, from: string, to: string): Mutation => ({
  rule,
  file,
  from,
  to,
});
