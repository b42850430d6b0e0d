import type { HeldItem } from "@/core/safety/bench-state";
import type { Holdable } from "@/core/safety/holdable";

/** What is said once something that can move by itself is held. */
export const HELD_WORDS: Readonly<Record<Holdable, string>> = {
  coasting: "It stands still",
  springs: "The springs are held",
  "lifted-load": "The load is propped",
  pressure: "The pressure is off",
  heat: "It is cold to the hand",
  belt: "The belt is held",
  blades: "The blades are blocked",
};

type Stands = Readonly<Record<HeldItem["is"], string>>;

const HOLDS: Stands = { held: "held", none: "not in this machine", free: "free: hands stay out" };
const OTHERS: Readonly<Partial<Record<Holdable, Stands>>> = {
  coasting: { held: "stands still", none: "does not run on", free: "may be turning: hands stay out" },
  heat: { held: "cold", none: "not in this machine", free: "hot: hands stay out" },
};

/** How it stands now, after its name. */
export function heldWords({ id, is }: HeldItem): string {
  return (OTHERS[id] ?? HOLDS)[is];
}
