import type { JobView } from "./reduce";

/** Whether the old capacitor had a bleed resistor, as its last reading says: the new one then needs it too. */
export function hadResistor(view: Pick<JobView, "readings">, forPart: "start" | "run"): boolean {
  const last = view.readings.filter(({ moveId }) => moveId === `${forPart}-capacitance`).at(-1);
  const bleed = last?.input["bleedResistor"];
  return bleed === "lifted" || bleed === "across";
}
