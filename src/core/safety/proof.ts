/** What a dead check proves, and what work can spoil. */
export const PROOFS = ["look", "earth", "insulation"] as const;
export type Proof = (typeof PROOFS)[number];
