import { type PastDecision, pastDecisions } from "@/server/repositories/job-facts";
import { readShopContext } from "./shop-context";

/** What the shop's own closed jobs say of the routes that were taken. */
export async function pastDecisionsBeside(jobId: number): Promise<readonly PastDecision[]> {
  return pastDecisions((await readShopContext()).db, jobId);
}
