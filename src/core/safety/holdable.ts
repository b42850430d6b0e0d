/** What can move, let go or burn by itself and has a gate of its own, in the order in which it is settled. */
export const HOLDABLE = ["coasting", "springs", "lifted-load", "pressure", "heat", "belt", "blades"] as const;
export type Holdable = (typeof HOLDABLE)[number];

/** Whether something that can hurt, or stands in the way, is one of them. */
export function isHoldable(id: string): id is Holdable {
  return HOLDABLE.some((one) => one === id);
}
