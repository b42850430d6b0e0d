import type { Tool } from "./tool";

export interface RegisteredTool {
  readonly id: string;
  readonly title: string;
  readonly topic: string;
  load(): Promise<Tool>;
}

/** Every tool, a line each. Page, endpoint, island and contract test find it here. */
export const TOOLS: readonly RegisteredTool[] = [
  {
    id: "capacitor-against-mark",
    title: "Capacitor against its mark",
    topic: "capacitor",
    load: async () => (await import("./capacitor/capacitor-against-mark")).capacitorAgainstMark,
  },
];

export function findTool(id: string): RegisteredTool | undefined {
  return TOOLS.find((tool) => tool.id === id);
}
