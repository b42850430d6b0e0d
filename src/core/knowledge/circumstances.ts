/** How the machine is when something is done or seen: some faults show in one of these only. */
export const CIRCUMSTANCES = ["cold", "hot", "loaded", "wet"] as const;
export type Circumstance = (typeof CIRCUMSTANCES)[number];
