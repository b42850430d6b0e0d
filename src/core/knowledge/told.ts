/** What was told at the door that can hurt, and is a danger until its cause is found and mended. */
export const TOLD = [
  "told-trip",
  "told-residual-trip",
  "told-smoke",
  "told-tingle",
  "told-water",
  "told-runs-on",
] as const;
export type Told = (typeof TOLD)[number];
