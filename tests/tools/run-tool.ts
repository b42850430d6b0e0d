import type { Finding } from "@/core/tools/finding.input";
import { TOOL_CONTEXT, TOOLS } from "../core/shop-context";

/** Runs a tool on input that it must take. */
export function found(id: string, input: object): Finding {
  const answer = TOOLS.find((tool) => tool.id === id)?.run(input, TOOL_CONTEXT);
  if (!answer?.ok) throw new Error(answer?.issues[0]?.message ?? `no tool ${id}`);
  return answer.value;
}

/** What the tool says against input that it refuses. */
export function refusedWith(id: string, input: object): string {
  const answer = TOOLS.find((tool) => tool.id === id)?.run(input, TOOL_CONTEXT);
  return answer?.ok === false ? answer.issues.map(({ message }) => message).join(" ") : "";
}

export const figureOf = ({ figures }: Finding, id: string): number =>
  figures.find((one) => one.id === id)?.value ?? Number.NaN;

const RANK = ["faulty", "suspect", "undecided", "sound"];
/** How good a verdict is, so that laws can compare two. */
export const rankOf = ({ verdict }: Finding): number => RANK.indexOf(verdict);
