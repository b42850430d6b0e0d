import type { Services } from "@/log/completion";
import type { Executor } from "@/server/db/executor";
import { jobView } from "@/server/queries/jobs";
import { fileByHash } from "@/server/repositories/files";
import { jobExists } from "@/server/repositories/jobs";
import { looseReading } from "@/server/repositories/loose-readings";
import { ownerById } from "@/server/repositories/owners";
import { decisionFor } from "./decide-job";
import { matchFor } from "./match-part";
import { runTool } from "./run-tool";
import type { ShopContext } from "./shop-context";

/** What entries are completed by, read through this connection. */
export function servicesOn(on: Executor, shopContext: ShopContext): Services {
  return {
    jobExists: (jobId) => jobExists(on, jobId),
    viewOf: async (jobId) => {
      const { knowledge, limits } = shopContext;
      return (await jobView(on, jobId, { ...knowledge, limits }))?.view;
    },
    ownerExists: async (ownerId) => (await ownerById(on, ownerId)) !== undefined,
    pictureSize: async (sha256) => {
      const file = await fileByHash(on, sha256);
      return file && { width: file.width, height: file.height };
    },
    keptReading: (id) => looseReading(on, id),
    runTool: (toolId, input) => runTool(toolId, input, {}, shopContext),
    decide: (view) => decisionFor(view, shopContext),
    match: (asked, view) => matchFor(asked, view, { ...shopContext, db: on }),
  };
}
