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

const STORES = ["start", "run", "bus", "any"] as const;

/** One schema a table; the key is the file's name under src/knowledge. */
export const TABLES = {
  sources: row({ title: words() }),
  families: row({
    label: words(),
    clue: words(),
    stores: yup.array(yup.string().oneOf(STORES).required()).required(),
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
    tool: yup.string(),
    minutes: finiteNumber().required().positive(),
    tier: yup
      .number()
      .oneOf([1, 2, 3] as const)
      .required(),
    needs: yup
      .string()
      .oneOf(["none", "plug-out", "hands-inside"] as const)
      .required(),
    outcomes: yup.array(yup.string().required()).required().min(2),
  }),
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
  }),
  deadChecks: row({
    label: words(),
    how: words(),
    quantity: yup
      .string()
      .oneOf(["seen", "resistance", "insulation"] as const)
      .required(),
    classes: yup.array(yup.string().required()).required(),
    limits: yup.array(yup.string().required()).required(),
  }),
  kit: row({ label: words() }),
  aliases: row({ now: rowId() }),
} as const;

export type TableName = keyof typeof TABLES;
