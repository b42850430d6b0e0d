import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import { parseReading } from "../quantity/parse-reading";
import type { QuantityId } from "../quantity/reading";
import { type PlateLimits, type PlateMeaning, type PlateValues, plateMeaning } from "./meaning";
import { parsePower } from "./power";

/** The value of a plate's field as typed, SI; undefined where it tells none. */
export function readOf(typed: string, quantity: QuantityId): number | undefined {
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

/** A plate as the log keeps it: text, empty where the plate says nothing. */
interface TypedPlate extends Pick<PlateValues, "powerIs"> {
  readonly volts: string;
  readonly hertz: string;
  readonly amps: string;
  readonly power: string;
  readonly speed: string;
}

/** What a plate as typed means; what cannot be read of it is left out. */
export function meaningOfPlate(plate: TypedPlate, limits: Limits): readonly PlateMeaning[] {
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
