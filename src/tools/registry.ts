import type { Tool, ToolWords } from "@/core/tools/tool";

/** What a room's two files hand out. */
interface Room {
  tool(): Promise<{ readonly tool: Tool }>;
  words(): Promise<{ readonly words: ToolWords }>;
}

/** Every tool, a line each: pages, endpoints, Isolate, Measure and the contract test find it here. */
const ROOMS: ReadonlyMap<string, Room> = new Map(
  Object.entries<Room>({
    "capacitor-against-mark": {
      tool: () => import("./capacitor/capacitor-against-mark/tool"),
      words: () => import("./capacitor/capacitor-against-mark/words"),
    },
    discharge: {
      tool: () => import("./capacitor/discharge/tool"),
      words: () => import("./capacitor/discharge/words"),
    },
    "capacitor-under-load": {
      tool: () => import("./capacitor/capacitor-under-load/tool"),
      words: () => import("./capacitor/capacitor-under-load/words"),
    },
    "ohms-ramp": {
      tool: () => import("./capacitor/ohms-ramp/tool"),
      words: () => import("./capacitor/ohms-ramp/words"),
    },
    combination: {
      tool: () => import("./capacitor/combination/tool"),
      words: () => import("./capacitor/combination/words"),
    },
    "bleed-resistor": {
      tool: () => import("./capacitor/bleed-resistor/tool"),
      words: () => import("./capacitor/bleed-resistor/words"),
    },
    "lead-map": {
      tool: () => import("./winding/lead-map/tool"),
      words: () => import("./winding/lead-map/words"),
    },
    "motor-identity": {
      tool: () => import("./winding/motor-identity/tool"),
      words: () => import("./winding/motor-identity/words"),
    },
    "winding-against-reference": {
      tool: () => import("./winding/winding-against-reference/tool"),
      words: () => import("./winding/winding-against-reference/words"),
    },
    "start-and-run": {
      tool: () => import("./winding/start-and-run/tool"),
      words: () => import("./winding/start-and-run/words"),
    },
    "temperature-rise": {
      tool: () => import("./winding/temperature-rise/tool"),
      words: () => import("./winding/temperature-rise/words"),
    },
    "meter-self-check": {
      tool: () => import("./meter/meter-self-check/tool"),
      words: () => import("./meter/meter-self-check/words"),
    },
    "resistor-bands": {
      tool: () => import("./resistor/resistor-bands/tool"),
      words: () => import("./resistor/resistor-bands/words"),
    },
  }),
);

export const TOOL_IDS: readonly string[] = [...ROOMS.keys()];

/** @returns the tool, or undefined where there is none of this id */
export async function loadTool(id: string): Promise<Tool | undefined> {
  return (await ROOMS.get(id)?.tool())?.tool;
}

/** @returns the sentences of a tool, or undefined where there is none of this id */
export async function loadWords(id: string): Promise<ToolWords | undefined> {
  return (await ROOMS.get(id)?.words())?.words;
}

/** Every tool, for the server and the tests. */
export async function allTools(): Promise<readonly Tool[]> {
  const loaded = await Promise.all(TOOL_IDS.map(loadTool));
  return loaded.filter((tool) => tool !== undefined);
}
