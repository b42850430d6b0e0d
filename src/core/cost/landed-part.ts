/** What a part costs by the time it lies on the bench. */
export interface Landed {
  /** With mark-up, postage and tools, minor units. */
  readonly cashMinor: number;
  /** Of it what a tool costs that must be bought for it. */
  readonly toolMinor: number;
  /** Days until it is there. */
  readonly days: number;
}

/** How parts come into the shop. Money in minor units. */
export interface Delivery {
  readonly markupPercent: number;
  /** Of one order. */
  readonly postageMinor: number;
  /** Days until a part comes that nobody has asked for. */
  readonly usualDays: number;
  /** Up to this price a part is taken to lie in the shop. */
  readonly inShopMost: number;
  /** What a tool costs that the shop does not have. */
  readonly toolMinor?: number | undefined;
}

/**
 * A part's price with what it takes to get it: the mark-up on it, the postage of its order, and days; what is small or lies
 * on the shelf comes without post.
 * @param days as a counter or the shelf has said; undefined where nobody was asked
 */
export function landedPart(
  priceMinor: number,
  days: number | undefined,
  { markupPercent, postageMinor, usualDays, inShopMost, toolMinor = 0 }: Delivery,
): Landed {
  const isHere = days === 0 || (days === undefined && priceMinor <= inShopMost);
  return {
    cashMinor: priceMinor * (1 + markupPercent / 100) + (isHere ? 0 : postageMinor) + toolMinor,
    toolMinor,
    days: isHere ? 0 : (days ?? usualDays),
  };
}
