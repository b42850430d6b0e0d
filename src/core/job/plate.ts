import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import { type PlateLimits, type PlateMeaning, plateMeaning } from "../motor/nameplate";
import { parsePower } from "../motor/nameplate-power";
import { parseReading } from "../quantity/parse-reading";
import type { QuantityId } from "../quantity/reading";
import type { MotorPlate } from "./entry";

function readOf(typed: string, quantity: QuantityId): number | undefined {
  const parsed = typed.trim() === "" ? undefined : parseReading(typed, quantity);
  return parsed?.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : undefined;
}

function limitsOf(limits: Limits): PlateLimits {
  return {
    inputMost: limitOf(limits, "plate-input-most").value,
    inputFrom: limitOf(limits, "plate-input-from").value,
    outputLeast: limitOf(limits, "plate-output-least").value,
    outputMost: limitOf(limits, "plate-output-most").value,
    slipMost: limitOf(limits, "plate-slip-most").value,
  };
}

type Typed = Pick<MotorPlate, "volts" | "hertz" | "amps" | "power" | "speed" | "powerIs">;

/** What a plate as typed means; what cannot be read of it is left out. */
export function meaningOfPlate(plate: Typed, limits: Limits): readonly PlateMeaning[] {
  const power = plate.power.trim() === "" ? undefined : parsePower(plate.power);
  return plateMeaning(
    {
      volts: readOf(plate.volts, "voltage"),
      hertz: readOf(plate.hertz, "frequency"),
      amps: readOf(plate.amps, "current"),
      watts: power?.ok ? power.value : undefined,
      speed: readOf(plate.speed, "speed"),
      powerIs: /h\.?p/i.test(plate.power) && plate.powerIs === "not-said" ? "output" : plate.powerIs,
    },
    limitsOf(limits),
  );
}
