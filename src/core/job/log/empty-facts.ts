/** Fields of an entry as they stand when nothing was said about them. */
export const EMPTY_DOOR_FACTS = {
  earlierParts: "",
  hazards: [],
  hasNone: [],
  whyWithout: "",
  feeMinor: null,
  feeCounts: true,
  depositMinor: null,
  recall: { looked: "not-looked", where: "" },
  from: null,
} as const;

export const EMPTY_PLATE_FACTS = { powerIs: "not-said", typeCode: "", duty: "", enclosure: "" } as const;

export const EMPTY_REMOVED_FACTS = {
  drive: "",
  colour: "",
  terminal: "",
  torque: "",
  adhesive: "",
  pin: null,
  taken: "afterwards",
} as const;

export const EMPTY_REFITTED_FACTS = {
  count: null,
  why: "",
  carried: [],
  taken: "afterwards",
  protects: "not-said",
} as const;

export const EMPTY_FOLLOW_UP_FACTS = {
  about: "look-again",
  onDay: null,
  belowCelsius: null,
  afterHours: null,
  condition: "",
} as const;

export const EMPTY_OWNER_FACTS = { priceMinor: null, byDay: null, leadsTo: "", words: "" } as const;

export const EMPTY_BILL_FACTS = {
  discountMinor: 0,
  taxMinor: 0,
  isFree: false,
  leftOut: "",
  byDangers: true,
} as const;
