import type { Family } from "@/core/matching/family";

/** Every family of parts, a line each: Match, the price list and the contract test find it here. */
const ROOMS: ReadonlyMap<string, () => Promise<{ readonly family: Family }>> = new Map(
  Object.entries({
    fuse: () => import("./fuse/family"),
    "fuse-holder": () => import("./fuse-holder/family"),
    "thermal-fuse": () => import("./thermal-fuse/family"),
    overload: () => import("./overload/family"),
    "start-relay": () => import("./start-relay/family"),
    switch: () => import("./switch/family"),
    relay: () => import("./relay/family"),
    "run-capacitor": () => import("./run-capacitor/family"),
    "start-capacitor": () => import("./start-capacitor/family"),
    "dual-capacitor": () => import("./dual-capacitor/family"),
    suppressor: () => import("./suppressor/family"),
    "bleed-resistor": () => import("./bleed-resistor/family"),
    brush: () => import("./brush/family"),
    "brush-holder": () => import("./brush-holder/family"),
    "ball-bearing": () => import("./ball-bearing/family"),
    bush: () => import("./bush/family"),
    "shaft-seal": () => import("./shaft-seal/family"),
    "o-ring": () => import("./o-ring/family"),
    washer: () => import("./washer/family"),
    belt: () => import("./belt/family"),
    coupling: () => import("./coupling/family"),
    gear: () => import("./gear/family"),
    fan: () => import("./fan/family"),
    cord: () => import("./cord/family"),
    plug: () => import("./plug/family"),
    terminal: () => import("./terminal/family"),
    "centrifugal-switch": () => import("./centrifugal-switch/family"),
    motor: () => import("./motor/family"),
    board: () => import("./board/family"),
    assembly: () => import("./assembly/family"),
  }),
);

export const FAMILY_IDS: readonly string[] = [...ROOMS.keys()];

/** A family by its id; undefined where there is none of that name. */
export async function loadFamily(id: string): Promise<Family | undefined> {
  return (await ROOMS.get(id)?.())?.family;
}

export async function allFamilies(): Promise<readonly Family[]> {
  return Promise.all([...ROOMS.values()].map(async (load) => (await load()).family));
}
