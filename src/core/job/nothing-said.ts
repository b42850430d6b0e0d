/** Fields of an entry as they stand when nothing was said about them. */
export const AT_THE_DOOR_UNSAID = {
  earlierParts: "",
  hazards: [],
  feeMinor: null,
  feeCounts: true,
  depositMinor: null,
  recall: { looked: "not-looked", where: "" },
  from: null,
} as const;

export const PLATE_UNSAID = { powerIs: "not-said", typeCode: "" } as const;

export const OFF_UNSAID = {
  drive: "",
  colour: "",
  terminal: "",
  torque: "",
  adhesive: "",
  pin: null,
} as const;

export const BACK_UNSAID = { count: null, why: "", carried: [] } as const;

export const LATER_UNSAID = {
  about: "look-again",
  onDay: null,
  belowCelsius: null,
  afterHours: null,
  condition: "",
} as const;
