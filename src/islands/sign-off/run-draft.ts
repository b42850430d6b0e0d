import type { FigurePair, AcceptanceRun as Run } from "@/core/job/log/entry";

export type FigureId = FigurePair["quantity"];

/** A run as it is typed. */
export interface RunDraft {
  readonly circumstance: Run["circumstance"] | "";
  readonly minutes: string;
  readonly words: string;
  readonly turns: Run["turns"];
  readonly figures: Readonly<Partial<Record<FigureId, { readonly before: string; readonly after: string }>>>;
}

export const EMPTY_RUN: RunDraft = {
  circumstance: "",
  minutes: "",
  words: "",
  turns: "not-said",
  figures: { current: { before: "", after: "" } },
};

/** What is noted before and after, with its unit as typed. */
export const FIGURES: readonly { readonly id: FigureId; readonly label: string; readonly unit: string }[] = [
  { id: "current", label: "Amps", unit: "" },
  { id: "time", label: "Stop time", unit: "s" },
  { id: "capacitance", label: "Capacitance", unit: "μF" },
  { id: "noise", label: "Noise", unit: "dB" },
  { id: "temperature", label: "Temperature", unit: "°C" },
  { id: "speed", label: "Speed", unit: "r/min" },
];

/** The run that the draft says, as good as it can be: result and time of entering are added when it is kept. */
export function runOf(draft: RunDraft): Run {
  const typed = FIGURES.flatMap(({ id }): FigurePair[] => {
    const pair = draft.figures[id];
    if (!pair || (pair.before.trim() === "" && pair.after.trim() === "")) return [];
    return [{ quantity: id, before: pair.before.trim(), after: pair.after.trim() }];
  });
  return {
    circumstance: draft.circumstance === "" ? "idle" : draft.circumstance,
    minutes: Number(draft.minutes.replace(",", ".")),
    result: "gone",
    words: draft.words,
    turns: draft.turns,
    figures: typed,
    outlet: "not-said",
    taken: "now",
  };
}
