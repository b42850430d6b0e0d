import type { Guard } from "../../guard";
import { guardBench } from "../../guard-bench";

export const guard: Guard<"reading"> = guardBench;
