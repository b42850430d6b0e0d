/** What hands, probes or power go to. What has to be settled beforehand follows from it, and nothing else says so. */
export const TOUCHES = [
  "past",
  "marking",
  "outlet",
  "outside",
  "shaft",
  "drive",
  "inside",
  "bare-conductors",
  "board",
  "running-parts",
  "exposed-rotation",
  "fitted-leads",
  "live-conductors",
] as const;
export type Touch = (typeof TOUCHES)[number];

/** What must be settled before hands go to the machine. `turning` adds that blades are blocked. */
export type BenchNeed = "none" | "plug-out" | "held" | "turning" | "hands-inside" | "turning-inside";

/** What a need asks for, beside the plug. */
export interface NeedParts {
  readonly isPlugOut: boolean;
  /** Springs, hung loads and belts that may let go. */
  readonly isHeld: boolean;
  /** Whatever stores charge was read, or the clip is on it. */
  readonly isDrained: boolean;
  /** Blades and teeth that turn with the shaft are blocked. */
  readonly isBlocked: boolean;
}

const PARTS: Readonly<Record<BenchNeed, NeedParts>> = {
  none: { isPlugOut: false, isHeld: false, isDrained: false, isBlocked: false },
  "plug-out": { isPlugOut: true, isHeld: false, isDrained: false, isBlocked: false },
  held: { isPlugOut: true, isHeld: true, isDrained: false, isBlocked: false },
  turning: { isPlugOut: true, isHeld: true, isDrained: false, isBlocked: true },
  "hands-inside": { isPlugOut: true, isHeld: true, isDrained: true, isBlocked: false },
  "turning-inside": { isPlugOut: true, isHeld: true, isDrained: true, isBlocked: true },
};

export function partsOf(need: BenchNeed): NeedParts {
  return PARTS[need];
}

const NEEDS: Readonly<Record<Touch, BenchNeed>> = {
  past: "none",
  marking: "none",
  outlet: "none",
  outside: "plug-out",
  shaft: "turning",
  drive: "held",
  inside: "hands-inside",
  "bare-conductors": "hands-inside",
  board: "hands-inside",
  // With power on nobody's hands are near: the state that counts is that of live work.
  "running-parts": "none",
  "exposed-rotation": "none",
  "fitted-leads": "none",
  "live-conductors": "none",
};

/** Hands inside, and on what turns: all that can hurt with the plug out. */
const ANYWHERE: readonly Touch[] = ["inside", "shaft"];

/** What hands go to for a repair, where its row says it; else everything that can hurt with the plug out. */
export function repairTouches({
  touches,
}: {
  readonly touches?: readonly Touch[] | undefined;
}): readonly Touch[] {
  return touches ?? ANYWHERE;
}

/** What the bench state must be for all that is touched together. */
export function needOf(touches: readonly Touch[]): BenchNeed {
  const parts = touches.map((touch) => PARTS[NEEDS[touch]]);
  const isDrained = parts.some((one) => one.isDrained);
  if (parts.some((one) => one.isBlocked)) return isDrained ? "turning-inside" : "turning";
  if (isDrained) return "hands-inside";
  if (parts.some((one) => one.isHeld)) return "held";
  return parts.some((one) => one.isPlugOut) ? "plug-out" : "none";
}

/**
 * How power is on meanwhile. `guards-on`: hands off, covers on. `measured`: leads, clamp or thermocouple fitted unplugged,
 * the cover back over them. `leakage`: a leakage current in place of an insulation test. `licensed`: a cover is off with power on, a note for whoever may do that.
 */
export type PowerUse = "off" | "guards-on" | "measured" | "leakage" | "licensed";

const USES: readonly (readonly [Touch, PowerUse])[] = [
  ["live-conductors", "licensed"],
  ["fitted-leads", "measured"],
  ["exposed-rotation", "guards-on"],
  ["running-parts", "guards-on"],
];

export function powerOf(touches: readonly Touch[]): PowerUse {
  return USES.find(([touch]) => touches.includes(touch))?.[1] ?? "off";
}

/** 1: unplugged. 2: power on, guards on, hands off. 3: measured live, or rotation within reach (SAFETY). */
export function tierOf(touches: readonly Touch[]): 1 | 2 | 3 {
  const power = powerOf(touches);
  if (power === "licensed" || power === "measured" || touches.includes("exposed-rotation")) return 3;
  return power === "guards-on" || touches.includes("outlet") ? 2 : 1;
}
