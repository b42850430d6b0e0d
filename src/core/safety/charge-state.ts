import { limitOf } from "../knowledge/resolve-limits";
import type { Limits, StoreId } from "../knowledge/types";

/** What was read on one part that can hold charge. A clip that stays on does not lapse; volts read under it do. */
export interface StoredItem {
  readonly id: StoreId;
  readonly volts?: number | undefined;
  /** The meter was over its range: the volts are what it was taken for. */
  readonly over?: boolean | undefined;
  readonly clip?: boolean | undefined;
  /** The line of the clip was struck out: perhaps on, so off before power, and it holds no charge down. */
  readonly clipStruck?: boolean | undefined;
  /** Why its volts could not be read. */
  readonly cannot?: string | undefined;
  readonly at: string;
  readonly recheckAfter?: string | undefined;
  /** Since when it was read dead, without power in between. */
  readonly deadSince?: string | undefined;
  /** Whether one reading is not enough: charge creeps back into an electrolytic. */
  readonly needsTwo?: boolean | undefined;
  /** Its volts were read while power was on: they say nothing of the time after. */
  readonly whileOn?: boolean | undefined;
  /** What shows that this machine has none. */
  readonly none?: string | undefined;
}

/** What was read and said of all that stores charge. */
interface Charges {
  readonly stored: readonly StoredItem[];
  /** The repairer looked and says that nothing in this machine stores charge. */
  readonly nothingStores: boolean;
}

export type ChargeState =
  | "not-read"
  | "charged"
  | "lapsed"
  | "once"
  | "drained"
  | "clip"
  | "clip-unread"
  | "cannot"
  | "none";

/** How one item that can hold charge stands at `now`. */
export function chargeState(
  { stored, nothingStores }: Charges,
  id: StoreId,
  now: string,
  limits: Limits,
): ChargeState {
  if (nothingStores) return "none";
  const item = stored.find((one) => one.id === id);
  if (!item) return "not-read";
  if (item.none !== undefined) return "none";
  const isClipped = item.clip === true && item.clipStruck !== true;
  if (item.volts === undefined) {
    if (isClipped) return "clip-unread";
    return item.cannot === undefined ? "not-read" : "cannot";
  }
  if (Math.abs(item.volts) > limitOf(limits, "safe-to-work-volts").value) return "charged";
  if (item.whileOn) return "not-read";
  // Below the limit with the clip on it: nothing can creep back.
  if (isClipped) return "clip";
  if (item.recheckAfter !== undefined && now >= item.recheckAfter) return "lapsed";
  const apart = (Date.parse(item.at) - Date.parse(item.deadSince ?? item.at)) / 1000;
  const isOnce = item.needsTwo === true && apart < limitOf(limits, "electrolytic-second-reading").value;
  return isOnce ? "once" : "drained";
}
