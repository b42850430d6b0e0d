import * as yup from "yup";
import { oneOf, text } from "../fields.input";
import { SUBSTITUTION } from "../matching/schools";
import { parseReading } from "../quantity/parse-reading";
import { QUANTITIES } from "../quantity/reading";
import { readingField } from "../quantity/reading.input";
import { DISCHARGE_SCHOOLS } from "../safety/discharge";
import { finiteNumber, strictObject } from "../validate";

function isZone(zone: string | undefined): boolean {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: zone }).resolvedOptions().timeZone !== "";
  } catch {
    return false;
  }
}

function isCurrency(code: string | undefined): boolean {
  return code !== undefined && /^[A-Z]{3}$/.test(code) && Intl.supportedValuesOf("currency").includes(code);
}

const instrument = strictObject({
  id: yup.string().label("Instrument id").required().max(60),
  label: yup.string().label("Instrument").required().max(60),
  quantity: yup
    .string()
    .label("It reads")
    .oneOf(["capacitance", "resistance", "insulation", "voltage", "current"] as const)
    .required(),
  /** Highest value of this range, and weight of the last digit, as typed. */
  upTo: yup.string().required().max(20).label("Range up to"),
  percent: finiteNumber().label("Percent of reading").required().min(0).max(50),
  counts: finiteNumber().label("Counts").required().min(0).max(1000),
  resolution: yup.string().required().max(20).label("Last digit"),
  mode: yup
    .string()
    .oneOf(["ramp", "series"] as const)
    .required(),
});

/** The text fields of an instrument are read in the quantity it measures. */
const instruments = yup
  .array(instrument.required())
  .label("Instruments")
  .required()
  .max(40)
  .test({
    name: "ranges",
    test: (rows, context) => {
      for (const [index, row] of (rows ?? []).entries()) {
        // The quantity's own test tells of one that is not known.
        if (!row || !Object.hasOwn(QUANTITIES, row.quantity)) continue;
        for (const [key, label] of [
          ["upTo", "Range up to"],
          ["resolution", "Last digit"],
        ] as const) {
          const field = readingField(row.quantity, label);
          try {
            field.validateSync(row[key], { strict: true });
          } catch (error) {
            const message = yup.ValidationError.isError(error) ? error.message : String(error);
            return context.createError({
              path: `${context.path}[${index}].${key}`,
              message,
              params: { code: "reading/unreadable", originalValue: row[key] },
            });
          }
        }
      }
      return true;
    },
  });

export const settingsSchema = strictObject({
  shopName: yup.string().label("Name of the shop").required().max(60),
  /** For the owner's sheet. */
  address: text("Address of the shop", 200),
  telephone: text("Telephone of the shop", 60),
  /** Secret part of the address of the shop's calendar; empty while there is none. */
  calendarKey: yup
    .string()
    .label("Calendar key")
    .defined()
    .matches(/^(|[0-9a-f-]{36})$/, "The calendar's key is made by the program"),
  region: yup.string().label("Region").required().max(60),
  volts: finiteNumber().label("Supply volts").required().min(90).max(500),
  hertz: finiteNumber().label("Supply hertz").required().min(10).max(400),
  /** IANA time zone: day boundaries and due dates are the shop's own. */
  zone: yup.string().label("Time zone").required().test({
    name: "zone",
    message: "Time zone is not known: write it as Area/City, such as Europe/Lisbon.",
    test: isZone,
  }),
  currency: yup.string().label("Currency").required().test({
    name: "currency",
    message: "Currency is not known: write its three letters, such as EUR.",
    test: isCurrency,
  }),
  /** Minor units an hour. */
  labourRateMinor: yup.number().label("Labour rate").required().integer().min(0).max(1e8),
  /** Percent that the owner pays on top of what a part cost the shop, and of tax on the whole. */
  partsMarkupPercent: finiteNumber().label("Mark-up on parts, percent").required().min(0).max(500),
  taxPercent: finiteNumber().label("Tax, percent").required().min(0).max(100),
  instruments,
  /** Ohms of the test leads touched together, as typed; empty while nobody has said. */
  leadOhms: yup
    .string()
    .label("Test leads, touched together")
    .defined()
    .max(20)
    .test({
      name: "lead-ohms",
      test: (typed, context) => {
        if (typed === undefined || typed.trim() === "") return true;
        const parsed = parseReading(typed, "resistance", "Test leads, touched together");
        if (parsed.ok) return true;
        return context.createError({
          message: parsed.issues[0]?.message ?? "",
          params: { code: "settings/lead-ohms" },
        });
      },
    }),
  kit: yup.array(yup.string().required().max(60)).label("Kit").required().max(60),
  /** The outlet behind a residual-current device, as the shop calls it; empty while it has named none. */
  residualOutlet: text("Outlet behind the RCD (GFCI)", 60),
  dischargeSchool: yup.string().label("Way of draining").oneOf(DISCHARGE_SCHOOLS).required(),
  /** Schools of substitution when parts are matched. */
  substitution: strictObject({
    "capacitor-value": oneOf(
      "Run capacitors",
      SUBSTITUTION["capacitor-value"].choices.map(({ value }) => value),
    ),
    seals: oneOf(
      "Seals",
      SUBSTITUTION.seals.choices.map(({ value }) => value),
    ),
  })
    .label("Substitution")
    .required(),
  /** Whether the shop's own closed jobs count in the suspects' chances. */
  usesCounts: yup.boolean().label("Learn from closed jobs").required(),
  /** Limits the shop has set for itself, by limit id, SI. */
  limits: yup
    .lazy((given: unknown) => {
      const ids = typeof given === "object" && given !== null ? Object.keys(given) : [];
      return yup
        .object(Object.fromEntries(ids.map((id) => [id, finiteNumber().label(`Limit ${id}`).required()])))
        .label("Own limits")
        .required();
    })
    .meta({ each: finiteNumber() }),
});
