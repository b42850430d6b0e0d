/** What a dead check proves, and what work can spoil. */
export type Proof = "look" | "earth" | "insulation";
