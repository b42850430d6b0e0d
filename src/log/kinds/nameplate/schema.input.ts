import * as yup from "yup";
import { byTag, oneOf, text } from "@/core/fields.input";
import { parsePower } from "@/core/nameplate/power";
import { parseReading } from "@/core/quantity/parse-reading";
import { readableBy, strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

const plateValue = (label: string, parse: Parameters<typeof readableBy>[1]) =>
  text(label, 40).test(
    readableBy("plate", (typed) => (typed === "" ? { ok: true, value: null } : parse(typed))),
  );

/** Plate values as they stand on the plate, each as typed. */
export const motorPlate = strictObject({
  plate: oneOf("Plate", ["motor"]),
  volts: plateValue("Volts on the plate", (typed) => parseReading(typed, "voltage", "Volts on the plate")),
  hertz: plateValue("Hertz on the plate", (typed) => parseReading(typed, "frequency", "Hertz on the plate")),
  amps: plateValue("Amps on the plate", (typed) => parseReading(typed, "current", "Amps on the plate")),
  power: plateValue("Power on the plate", parsePower),
  speed: plateValue("Speed on the plate", (typed) => parseReading(typed, "speed", "Speed on the plate")),
  powerIs: oneOf("Power is", ["input", "output", "peak", "not-said"]),
  typeCode: text("Type and serial", 80),
  /** How long it may run, such as S2 20 min. */
  duty: text("Duty on the plate", 40),
  /** Against touch and water, such as IP44. */
  enclosure: text("Enclosure on the plate", 20),
  text: text("Other words on the plate", 1000),
});

/** The marking of one capacitor. */
export const capacitorPlate = strictObject({
  plate: oneOf("Plate", ["capacitor"]),
  id: oneOf("Capacitor", ["start", "run"]),
  mark: yup.string().label("Marking").required().max(200),
});

const motorWith =
  (added: Readonly<Record<string, string>>): Upcaster =>
  (payload) =>
    typeof payload === "object" && payload !== null && "plate" in payload && payload.plate === "motor"
      ? { ...payload, ...added }
      : payload;

export const schema = byTag("plate", { motor: motorPlate, capacitor: capacitorPlate });

export const versions: readonly Upcaster[] = [
  motorWith({ powerIs: "not-said", typeCode: "" }),
  motorWith({ duty: "", enclosure: "" }),
];
