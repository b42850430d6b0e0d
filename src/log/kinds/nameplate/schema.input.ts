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

const FIGURES = {
  volts: "Volts on the plate",
  hertz: "Hertz on the plate",
  amps: "Amps on the plate",
  power: "Power on the plate",
  speed: "Speed on the plate",
} as const;

/** Plate values as they were kept, each as typed: what a reader of today would ask about was read then. */
const keptPlate = strictObject({
  plate: oneOf("Plate", ["motor"]),
  volts: text(FIGURES.volts, 40),
  hertz: text(FIGURES.hertz, 40),
  amps: text(FIGURES.amps, 40),
  power: text(FIGURES.power, 40),
  speed: text(FIGURES.speed, 40),
  powerIs: oneOf("Power is", ["input", "output", "peak", "not-said"]),
  typeCode: text("Type and serial", 80),
  /** How long it may run, such as S2 20 min. */
  duty: text("Duty on the plate", 40),
  /** Against touch and water, such as IP44. */
  enclosure: text("Enclosure on the plate", 20),
  text: text("Other words on the plate", 1000),
});

/** Plate values as they stand on the plate, each as typed and readable. */
export const motorPlate = keptPlate.shape({
  volts: plateValue(FIGURES.volts, (typed) => parseReading(typed, "voltage", FIGURES.volts)),
  hertz: plateValue(FIGURES.hertz, (typed) => parseReading(typed, "frequency", FIGURES.hertz)),
  amps: plateValue(FIGURES.amps, (typed) => parseReading(typed, "current", FIGURES.amps)),
  power: plateValue(FIGURES.power, parsePower),
  speed: plateValue(FIGURES.speed, (typed) => parseReading(typed, "speed", FIGURES.speed)),
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

export const schema = byTag("plate", { motor: keptPlate, capacitor: capacitorPlate });

/** What a screen posts. */
export const draft = byTag("plate", { motor: motorPlate, capacitor: capacitorPlate });

export const versions: readonly Upcaster[] = [
  motorWith({ powerIs: "not-said", typeCode: "" }),
  motorWith({ duty: "", enclosure: "" }),
];
