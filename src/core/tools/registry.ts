import type { Tool } from "./tool";

export interface RegisteredTool {
  readonly id: string;
  readonly title: string;
  readonly topic: string;
  /** Moves whose readings it judges. */
  readonly judges: readonly string[];
  load(): Promise<Tool>;
}

/** Every tool, a line each. Page, endpoint, island and contract test find it here. */
export const TOOLS: readonly RegisteredTool[] = [
  {
    id: "capacitor-against-mark",
    title: "Capacitor against its mark",
    topic: "capacitor",
    judges: ["start-capacitance", "run-capacitance"],
    load: async () => (await import("./capacitor/capacitor-against-mark")).capacitorAgainstMark,
  },
];

/** The tool that judges a move's reading, if there is one. */
export function toolJudging(moveId: string): RegisteredTool | undefined {
  return TOOLS.find(({ judges }) => judges.includes(moveId));
}

export function findTool(id: string): RegisteredTool | undefined {
  return TOOLS.find((tool) => tool.id === id);
}
