import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { AllowedBand } from "@/core/markings/allowed-band";
import type { CapacitorMark } from "@/core/markings/capacitor";
import { denoise } from "@/core/quantity/decimal";
import { farads } from "@/core/quantity/units";
import { effectOf } from "./effect";
import type { Input, Said } from "./fields";

const AT = { first: 0, second: 1, third: 2 } as const;

/**
 * The marking of the section that was read: a tolerance that is printed once holds for each.
 * @returns undefined where the can has no such section
 */
export function markOfSection({ mark, section }: Pick<Input, "mark" | "section">): CapacitorMark | undefined {
  const index = AT[section ?? "first"];
  if (index === 0) return mark;
  const nominal = mark.others?.[index - 1];
  if (nominal === undefined) return undefined;
  const { tolerance, band, ...rest } = mark;
  return {
    ...rest,
    nominal,
    ...(tolerance
      ? {
          tolerance,
          band: {
            min: farads(denoise(nominal * (1 - tolerance.minus))),
            max: farads(denoise(nominal * (1 + tolerance.plus))),
          },
        }
      : {}),
  };
}

/** Loss of the part: D = ωRC from its series resistance, or as the meter shows it; above its limit it gets hot. */
export function seriesSaid(
  { seriesResistance, dissipation, mark }: Input,
  value: number | undefined,
  { dielectric }: CapacitorMark,
  limits: Limits,
): Said | undefined {
  const frequency = limitOf(limits, "meter-capacitance-frequency").value;
  const shown = dissipation?.kind === "value" ? dissipation.value : undefined;
  const worked =
    seriesResistance?.kind === "value" && value !== undefined
      ? 2 * Math.PI * frequency * seriesResistance.value * value
      : undefined;
  const found = shown ?? worked;
  if (found === undefined) return undefined;
  const limit = limitOf(
    limits,
    dielectric === "electrolytic" || mark.role === "start" ? "dissipation-electrolytic" : "dissipation-film",
  );
  const code = found > limit.value ? "capacitor/series-resistance" : "capacitor/series-fine";
  return { code, params: { dissipation: found, limit: limit.value } };
}

/** On the edge: how sure a meter must be to decide. */
export function finerSaid(value: number | undefined, { min, max }: AllowedBand, halfWidth: number): Said[] {
  if (value === undefined) return [];
  const distance = Math.min(Math.abs(value - min), Math.abs(value - max));
  if (distance >= halfWidth || distance <= 0) return [];
  return [{ code: "capacitor/finer-meter", params: { error: distance, has: halfWidth } }];
}

/** What so much of its mark does to a motor of the kind, simulated; said of what is low. */
export function effectSaid(
  role: CapacitorMark["role"],
  value: number | undefined,
  mark: CapacitorMark,
  band: AllowedBand,
): Said[] {
  if (value === undefined || role === "not-known" || mark.suppressor !== undefined || value >= band.min)
    return [];
  // A run part is meant at its nominal value, a start part is sold from its lower mark upwards.
  const whole = role === "run" ? (mark.nominal ?? band.min) : band.min;
  const { startTorque, loadedTorque } = effectOf(role, value / whole);
  return [
    loadedTorque === undefined
      ? { code: "capacitor/effect-start", params: { startTorque } }
      : { code: "capacitor/effect-run", params: { startTorque, loadedTorque } },
  ];
}
