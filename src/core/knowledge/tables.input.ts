import * as yup from "yup";
import { finiteNumber, strictObject } from "../validate";

const rowId = () =>
  yup
    .string()
    .required()
    .matches(/^[a-z0-9]+(-[a-z0-9]+)*$/, "an id is written in kebab-case");

const provenance = () =>
  strictObject({
    basis: yup
      .string()
      .oneOf(["standard", "manufacturer", "literature", "counted", "judgement"] as const)
      .required(),
    source: yup.string().required(),
    place: yup.string().defined(),
    reviewed: yup.boolean().required(),
  }).required();

const words = () => yup.string().required().max(400);
const row = <F extends yup.ObjectShape>(fields: F) =>
  yup.array(strictObject({ id: rowId(), ...fields, provenance: provenance() })).required();

const ids = () => yup.array(yup.string().required()).required();
const chance = () => finiteNumber().required().min(0).max(1);
const fix = () => strictObject({ repair: words(), success: chance() }).required();
const when = () =>
  strictObject({
    condition: yup.string(),
    is: yup.string(),
    sign: yup.string(),
    otherwise: yup.boolean(),
  }).required();

/** An object whose keys are ids of another table: cross-references.ts holds them. */
function table<S extends yup.Schema>(value: S) {
  return yup.lazy((given: unknown) => {
    const keys = typeof given === "object" && given !== null ? Object.keys(given) : [];
    return yup.object(Object.fromEntries(keys.map((key) => [key, value]))).required();
  }) as unknown as yup.Schema<Record<string, yup.InferType<S>>>;
}

const STORES = ["start", "run", "bus", "any"] as const;

/** One schema a table; the key is the file's name under src/knowledge. */
export const TABLES = {
  sources: row({ title: words() }),
  families: row({
    label: words(),
    clue: words(),
    stores: yup.array(yup.string().oneOf(STORES).required()).required(),
    stations: ids(),
    share: chance().optional(),
    scope: strictObject({ within: ids().min(1), outside: ids().min(1) })
      .optional()
      .default(undefined),
  }),
  limits: row({
    label: words(),
    quantity: words(),
    unit: words(),
    relation: yup
      .string()
      .oneOf(["at-least", "at-most"] as const)
      .required(),
    value: finiteNumber().required(),
    region: yup.string(),
    appliesWhen: yup.string(),
    source: yup.string().required(),
    safety: yup.boolean(),
  }),
  moves: row({
    title: words(),
    kind: yup
      .string()
      .oneOf(["question", "look", "feel", "reading", "trial"] as const)
      .required(),
    tool: yup.string(),
    minutes: finiteNumber().required().positive(),
    hazardMinutes: finiteNumber().required().min(0),
    tier: yup
      .number()
      .oneOf([1, 2, 3] as const)
      .required(),
    needs: yup
      .string()
      .oneOf(["none", "plug-out", "hands-inside"] as const)
      .required(),
    powered: yup.boolean().required(),
    access: yup.string(),
    families: ids(),
    stations: ids(),
    how: words(),
    setting: yup.string(),
    pitfall: yup.string(),
    kit: yup.string(),
    instead: yup.string(),
    settledBy: yup.array(strictObject({ moveId: words(), outcomeId: words() }).required()),
    outcomes: ids().min(2),
    words: table(yup.string().required()),
  }),
  stations: row({ label: words(), order: finiteNumber().required(), inMotor: yup.boolean().required() }),
  conditions: row({
    values: ids().min(2),
    kind: yup
      .string()
      .oneOf(["local", "derived"] as const)
      .required(),
  }),
  faults: row({
    label: words(),
    station: words(),
    families: ids(),
    odds: table(chance().positive()),
    leadsTo: yup.array(strictObject({ fault: words(), chance: chance() }).required()).required(),
    provenBy: yup.array(strictObject({ moveId: words(), outcomeId: words() }).required()).required(),
    fix: fix(),
    ladder: yup.array(fix()),
    shows: chance().positive(),
    hazard: yup.string(),
  }),
  archetypes: row({ label: words(), family: words(), adds: ids(), lacks: ids(), hazards: ids() }),
  repairs: row({
    label: words(),
    done: words(),
    minutes: finiteNumber().required().positive(),
    partMinor: finiteNumber().required().min(0),
    partFamily: yup.string(),
    carries: yup.array(yup.string().required()),
  }),
  effects: row({
    fault: words(),
    circumstance: yup
      .string()
      .oneOf(["any", "cold", "hot", "loaded"] as const)
      .required(),
    sets: table(yup.string().required()),
    signs: ids(),
  }),
  outcomes: row({
    moveId: words(),
    when: when(),
    outcomeId: words(),
    p: chance(),
    low: chance(),
    high: chance(),
  }),
  numeric: row({
    moveId: words(),
    quantity: words(),
    when: when(),
    median: finiteNumber().required().positive(),
    spread: finiteNumber().required().positive(),
  }),
  capacitors: row({
    label: words(),
    role: yup
      .string()
      .oneOf(["start", "run", "not-known"] as const)
      .required(),
    minMicrofarads: finiteNumber().positive(),
    maxMicrofarads: finiteNumber().positive(),
    nominalMicrofarads: finiteNumber().positive(),
    tolerance: finiteNumber().min(0).max(1),
    voltsAc: finiteNumber().required().min(0),
    dielectric: yup
      .string()
      .oneOf(["film", "electrolytic"] as const)
      .required(),
    polarised: yup.boolean().required(),
    hasResistor: yup.boolean().required(),
    lifeClass: yup.string().oneOf(["A", "B", "C", "D"]),
    protectionClass: yup.string().oneOf(["S0", "S1", "S2", "S3"]),
    priceMinor: finiteNumber().required().min(0),
    days: finiteNumber().required().min(0),
  }),
  access: row({ label: words(), minutes: finiteNumber().required().min(0) }),
  regions: row({
    label: words(),
    volts: finiteNumber().required().positive(),
    hertz: finiteNumber().required().positive(),
    leads: strictObject({ line: words(), neutral: words(), earth: words() }).required(),
  }),
  signs: row({
    sense: yup
      .string()
      .oneOf(["seen", "heard", "smelt", "felt"] as const)
      .required(),
    label: words(),
    stop: yup.string(),
    tells: yup.array(strictObject({ moveId: words(), outcomeId: words() }).required()),
  }),
  deadChecks: row({
    label: words(),
    how: words(),
    quantity: yup
      .string()
      .oneOf(["seen", "resistance", "insulation", "current"] as const)
      .required(),
    classes: yup.array(yup.string().required()).required(),
    insteadOf: yup.string(),
    needs: yup
      .string()
      .oneOf(["plug-out", "powered"] as const)
      .required(),
    limits: yup.array(yup.string().required()).required(),
  }),
  hazards: row({
    label: words(),
    caution: words(),
    act: words(),
    follows: yup
      .string()
      .oneOf(["said", "mains", "charge", "electronics", "battery", "heater", "family"] as const)
      .required(),
    families: ids(),
    asked: yup.boolean().required(),
    stop: yup.string(),
    trade: yup.string(),
  }),
  seen: row({ label: words(), moveId: words(), outcomeId: words(), repair: words() }),
  recalls: row({ label: words(), words: ids().min(1), notice: words() }),
  kit: row({ label: words() }),
  inseparable: row({ faults: ids().min(2), reason: words(), repair: words() }),
  aliases: row({ now: rowId() }),
} as const;

export type TableName = keyof typeof TABLES;
