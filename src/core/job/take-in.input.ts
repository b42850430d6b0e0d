import * as yup from "yup";
import { parseReading } from "../quantity/parse-reading";
import { finiteNumber, readableBy, strictObject } from "../validate";
import { oneOf, text, wholeNumber } from "./fields.input";
import { parsePower } from "./nameplate-power";

export const takenIn = strictObject({
  machine: yup.string().label("Machine").required().max(80),
  tag: text("Tag", 30),
  place: text("Place", 40),
  family: yup.string().label("Motor family").required().max(60),
  protectionClass: oneOf("Protection class", ["class-1", "class-2", "class-3", "battery", "not-known"]),
  connection: oneOf("Connection", ["plug", "detachable-cord", "fixed", "battery", "not-known"]),
  heater: oneOf("Heater", ["yes", "no", "not-known"]),
  ownerId: wholeNumber("Owner").nullable().defined(),
  ceilingMinor: wholeNumber("Owner's ceiling").nullable().defined().min(0).max(1e9),
  history: text("History", 2000),
  earlierParts: text("Earlier parts", 1000),
  hazards: yup.array(yup.string().required().max(60)).label("Hazards").required().max(20),
  feeMinor: wholeNumber("Fee for looking").nullable().defined().min(0).max(1e9),
  feeCounts: yup.boolean().label("Fee set off").required(),
  depositMinor: wholeNumber("Deposit").nullable().defined().min(0).max(1e9),
  recall: strictObject({
    looked: oneOf("Recall", ["nothing-found", "recalled", "not-looked"]),
    where: text("Where it was looked up", 200),
  }).required(),
  from: strictObject({
    jobId: wholeNumber("Earlier job").required().min(1),
    as: oneOf("Begun from", ["same", "twin"]),
  })
    .nullable()
    .defined(),
});

const plateValue = (label: string, parse: Parameters<typeof readableBy>[1]) =>
  text(label, 40).test(
    readableBy("plate", (typed) => (typed === "" ? { ok: true, value: null } : parse(typed))),
  );

export const motorPlate = strictObject({
  plate: oneOf("Plate", ["motor"]),
  volts: plateValue("Volts on the plate", (typed) => parseReading(typed, "voltage", "Volts on the plate")),
  hertz: plateValue("Hertz on the plate", (typed) => parseReading(typed, "frequency", "Hertz on the plate")),
  amps: plateValue("Amps on the plate", (typed) => parseReading(typed, "current", "Amps on the plate")),
  power: plateValue("Power on the plate", parsePower),
  speed: plateValue("Speed on the plate", (typed) => parseReading(typed, "speed", "Speed on the plate")),
  powerIs: oneOf("Power is", ["input", "output", "peak", "not-said"]),
  typeCode: text("Type and serial", 80),
  text: text("Other words on the plate", 1000),
});

export const capacitorPlate = strictObject({
  plate: oneOf("Plate", ["capacitor"]),
  id: oneOf("Capacitor", ["start", "run"]),
  mark: yup.string().label("Marking").required().max(200),
});

export const complaint = strictObject({
  signs: yup.array(yup.string().required().max(60)).label("Signs").required().max(30),
  circumstance: oneOf("When it happens", [
    "always",
    "cold",
    "hot",
    "after-minutes",
    "loaded",
    "sometimes",
    "not-known",
  ]),
  afterMinutes: finiteNumber().label("After how many minutes").nullable().defined().min(0).max(10_000),
  words: text("Owner's words", 2000),
});

export const picture = strictObject({
  sha256: yup
    .string()
    .label("Picture")
    .required()
    .matches(/^[0-9a-f]{64}$/, "A picture is named by its SHA-256, 64 hexadecimal digits"),
  of: oneOf("Picture of", ["nameplate", "outside", "inside", "wiring", "damage"]),
  width: wholeNumber("Width").required().min(1).max(20_000),
  height: wholeNumber("Height").required().min(1).max(20_000),
  words: text("What it shows", 300),
});
