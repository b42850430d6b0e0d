import { parametersOf } from "@/core/knowledge/parameters";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { cardOf } from "@/core/tools/tool";
import { shopKnowledge } from "@/server/services/knowledge";
import { allTools } from "@/tools/registry";

/** Every tool of the registry, and its plain data. */
export const TOOLS = await allTools();
export const TOOL_CARDS = TOOLS.map(cardOf);
/** The knowledge that ships, and its limits as no shop has changed them. */
export const KNOWLEDGE = shopKnowledge();
const resolved = resolveLimits(KNOWLEDGE, {});
if (!resolved.ok) throw new Error("the shipped limits do not resolve");
export const LIMITS = resolved.value;
/** The engine's tuning as it ships. */
export const PARAMETERS = parametersOf(KNOWLEDGE.parameters);
export const TOOL_CONTEXT = { limits: LIMITS, knowledgeVersion: KNOWLEDGE.version };

/** What the word on the sheet depends on beside the job. */
export const SIGN_OFF = { deadChecks: KNOWLEDGE.deadChecks, limits: LIMITS };
/** A shop that has named its outlet behind a residual-current device. */
export const LIVE_SHOP = { deadChecks: KNOWLEDGE.deadChecks, isOutletNamed: true };

/** Property tests run this often in `npm test`, and 2,000 times in `npm run bench`. */
export const RUNS = { numRuns: Number(process.env["LAW_RUNS"] ?? 100) };
