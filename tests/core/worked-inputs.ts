import { readFileSync } from "node:fs";
import { TOOLS } from "./shop-context";

/** An input that each tool of the registry takes: its first worked case. */
export const WORKED_INPUTS = TOOLS.map(({ id, topic }) => {
  const { cases } = JSON.parse(readFileSync(`src/tools/${topic}/${id}/worked.json`, "utf8")) as {
    readonly cases: readonly { readonly input: Readonly<Record<string, unknown>> }[];
  };
  return { toolId: id, input: cases[0]?.input ?? {} };
});
