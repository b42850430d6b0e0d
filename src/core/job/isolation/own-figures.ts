import type { Move } from "../../knowledge/types";
import type { JobView } from "../log/view";

/** What this machine's own plate and marks say of what a move reads, as sentences. */
export function ownFigures(
  { setting, part }: Pick<Move, "setting" | "part">,
  { plate, capacitors }: Pick<JobView, "plate" | "capacitors">,
  mains: { readonly volts: number },
): readonly string[] {
  const mark = capacitors.find(({ id }) => id === part?.place)?.mark;
  if (part?.family === "capacitor") return mark ? [`Its mark: ${mark}.`] : [];
  if (setting?.startsWith("amps")) return plate?.amps ? [`Its plate: ${plate.amps}.`] : [];
  if (setting === "volts" || setting === "volts AC")
    return [plate?.volts ? `Its plate: ${plate.volts}.` : `Mains here: ${mains.volts} V.`];
  return [];
}
