/** A range as it is printed, such as that of a start capacitor. SI units. */
export interface Span {
  readonly min: number;
  readonly max: number;
}

/** What an attribute is: a number in SI units, a range, a word of its list, or yes and no. */
export type Value = number | string | boolean | Span;

/** Attributes by their id; what is not stated is left out. */
export type Attributes = Readonly<Record<string, Value | undefined>>;

/** A machine that is kept for parts, and what was tested or looked at on the part; empty where nothing was. */
export interface Donor {
  readonly machine: string;
  readonly tested: string;
}

/** Where a part lies in the shop, and how many of it. */
export interface Shelved {
  readonly place: string;
  readonly count: number;
  readonly donor?: Donor | undefined;
}

/** A part that can be had, as its maker or its supplier states it. */
export interface Part {
  readonly id: string;
  readonly family: string;
  readonly label: string;
  readonly attributes: Attributes;
  /** Price of one, in the smallest unit of the shop's money. */
  readonly priceMinor: number;
  /** Days until it is on the bench; 0 for what lies on the shelf. */
  readonly days: number;
  readonly supplier: string;
  /** Left out for what has to be bought. */
  readonly shelf?: Shelved;
}

export const isSpan = (value: Value | undefined): value is Span => typeof value === "object";

/** Whether two values are the same thing; numbers only when they are equal. */
export function isSame(one: Value | undefined, other: Value | undefined): boolean {
  if (isSpan(one) && isSpan(other)) return one.min === other.min && one.max === other.max;
  return one === other;
}
