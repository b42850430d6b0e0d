/** A setting on which repairers disagree; the default comes first, each with its why. */
export interface School {
  readonly label: string;
  readonly choices: readonly { readonly value: string; readonly label: string; readonly why: string }[];
}

/** Schools of substitution, by the name of their setting. No school lets pass what is rejected for safety. */
export const SUBSTITUTION = {
  "capacitor-value": {
    label: "How near a run capacitor's microfarads must be",
    choices: [
      {
        value: "near",
        label: "6 %",
        why: "Within the tolerance that most marks allow; a tenth for a while.",
      },
      { value: "exact", label: "The same value", why: "The winding was made for it; 6 % for a while." },
      { value: "any", label: "A tenth", why: "It will do; the running current says whether." },
    ],
  },
  seals: {
    label: "Metal shields where a bearing had rubber seals",
    choices: [
      { value: "as-original", label: "Never", why: "Rubber was there against dust or wet." },
      {
        value: "metal-for-fast",
        label: "Where it is dry, fast or hot",
        why: "Rubber drags, and goes stiff near 100 °C.",
      },
    ],
  },
} as const satisfies Readonly<Record<string, School>>;
