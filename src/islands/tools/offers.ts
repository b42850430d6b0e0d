import type { JobView } from "@/core/job/log/view";
import { formatInstant, formatText } from "@/core/quantity/format";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import type { Shop } from "@/core/shop/shop";

/** A value that was read in this job already, as it would be typed, with where it comes from. */
export interface Offer {
  readonly unit: string;
  readonly text: string;
  readonly told: string;
}

const MOST = 12;
const asText = (value: unknown): string | undefined =>
  typeof value === "string" && value !== "" ? value : undefined;

/** The shop's meter of these limits of error, by its name. */
function meterOf(used: unknown, instruments: Shop["settings"]["instruments"]): string | undefined {
  if (typeof used !== "object" || used === null) return undefined;
  const limits = new Map<string, unknown>(Object.entries(used));
  return instruments.find(
    ({ percent, counts, resolution }) =>
      limits.get("percent") === percent &&
      limits.get("counts") === counts &&
      limits.get("resolution") === resolution,
  )?.label;
}

/** What was read once is offered wherever the same unit is asked for: newest first, with its time, temperature, meter and how it was taken. */
export function offersOf(
  { readings }: Pick<JobView, "readings">,
  { tools, settings }: Pick<Shop, "tools" | "settings">,
): readonly Offer[] {
  return [...readings]
    .reverse()
    .flatMap(({ finding, toolId, at, input, taken }) => {
      const title = tools.find(({ id }) => id === toolId)?.title ?? toolId;
      const warmth = asText(input["temperature"]) ?? asText(input["readAt"]);
      const how = [
        title,
        formatInstant(at, settings.zone),
        warmth,
        meterOf(input["meter"], settings.instruments),
        taken === "afterwards" ? "written down later" : undefined,
      ];
      return finding.figures.map(({ label, value, unit }) => ({
        unit,
        text: formatText(value, unit),
        told: [label, ...how].filter((one) => one !== undefined).join(", "),
      }));
    })
    .slice(0, MOST);
}

/** Those that a field of this quantity could take. */
export function offersFor(offers: readonly Offer[] | undefined, quantity: QuantityId): readonly Offer[] {
  return (offers ?? []).filter(({ unit }) => unit === QUANTITIES[quantity].unit);
}
