import type { JobView } from "@/core/job/log/view";
import type { Move } from "@/core/knowledge/types";
import { plateLine } from "@/core/nameplate/plate-line";
import { supplyOf } from "@/core/nameplate/supply";
import { formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/finding.input";
import { MOTOR_KINDS } from "@/core/tools/motor-kinds";
import type { Given } from "./draft";
import { offersOf } from "./offers";

/** A marking that the type line handed over. */
export function markingInAddress(): string | undefined {
  return new URLSearchParams(window.location.search).get("mark") ?? undefined;
}

/** The tool whose sheet the type line asked for. */
export function toolInAddress(): string | undefined {
  return new URLSearchParams(window.location.search).get("tool") ?? undefined;
}

/** What the job knows of the part that a move is about. */
export function givenFor(
  job: JobView,
  move: Pick<Move, "part"> | undefined,
  shop: Pick<Shop, "settings" | "tools">,
): Given {
  const { settings } = shop;
  const place = move?.part?.place;
  const known = job.capacitors.find(({ id }) => id === place)?.mark;
  const { family } = job.takenIn ?? {};
  const motor = MOTOR_KINDS.find(({ value }) => value === family && value !== "not-known")?.value;
  const supply = String(supplyOf(job.plate?.volts ?? "", settings.volts).volts);
  return {
    place,
    marking: known,
    motor,
    supply,
    plate: job.plate ? plateLine(job.plate) : undefined,
    hertz: String(settings.hertz),
    offers: offersOf(job, shop),
  };
}

/** The figure a finding is about, as it is read off a list. */
export function keyReading({ figures }: Pick<Finding, "figures">): string {
  const [first] = figures;
  return first ? formatText(first.value, first.unit) : "";
}
