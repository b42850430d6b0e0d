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
