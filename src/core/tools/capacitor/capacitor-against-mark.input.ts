import * as yup from "yup";
import { parseCapacitorMark } from "../../markings/capacitor";
import { readingField } from "../../quantity/reading.input";
import { finiteNumber, readableBy, strictObject } from "../../validate";

/** Readings and context of one capacitor held against what is printed on it. */
export const capacitorAgainstMarkInput = strictObject({
  mark: yup
    .string()
    .label("Marking")
    .required()
    .max(200)
    .test(readableBy("mark", parseCapacitorMark))
    .meta({ example: "145-174 μF 250 VAC" }),
  /** Overrules what the marking says, when the repairer saw where the wire goes. */
  role: yup
    .string()
    .label("Start or run")
    .oneOf(["start", "run"] as const),
  reading: readingField("capacitance", "Capacitance").required(),
  /** Direct-current resistance, discharged, after the ramp has settled. */
  dcResistance: readingField("resistance", "DC resistance"),
  meter: strictObject({
    percent: finiteNumber().label("Meter accuracy in percent of reading").required().min(0).max(50),
    counts: finiteNumber().label("Meter accuracy in counts").required().min(0).max(1000),
    resolution: readingField("capacitance", "Last digit of the meter").required(),
    mode: yup
      .string()
      .label("How the meter measures")
      .oneOf(["ramp", "series"] as const),
  })
    .label("Meter")
    .required(),
  /** `lifted`: one end is off; `across`: still connected; `none`: the part has no resistor. */
  bleedResistor: yup
    .string()
    .label("Bleed resistor")
    .oneOf(["none", "lifted", "across"] as const)
    .required(),
  bleedResistance: readingField("resistance", "Bleed resistor value"),
  temperature: readingField("temperature", "Temperature"),
});
