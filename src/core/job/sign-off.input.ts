import * as yup from "yup";
import { parseReading } from "../quantity/parse-reading";
import { finiteNumber, strictObject } from "../validate";
import { oneOf, text, wholeNumber } from "./fields.input";

const day = yup
  .string()
  .label("Day")
  .nullable()
  .defined()
  .matches(
    /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/,
    "Day is written year-month-day, such as 2026-12-03",
  );

const FIGURES = ["current", "time", "capacitance", "noise", "temperature", "speed"] as const;

const figurePair = strictObject({
  quantity: oneOf("Figure", FIGURES),
  before: text("Before", 40),
  after: text("After", 40),
}).test({
  name: "figure",
  test(pair, context) {
    for (const side of ["before", "after"] as const) {
      const typed = pair[side];
      const parsed =
        typed === "" ? undefined : parseReading(typed, pair.quantity, `${pair.quantity} ${side}`);
      if (parsed && !parsed.ok)
        return context.createError({
          message: parsed.issues[0]?.message ?? "",
          path: `${context.path}.${side}`,
        });
    }
    return true;
  },
});

export const acceptanceRun = strictObject({
  circumstance: oneOf("Run", ["cold", "hot", "loaded", "idle"]),
  minutes: finiteNumber().label("Minutes").required().moreThan(0).max(10_000),
  result: oneOf("Result", ["gone", "still-there", "stopped"]),
  words: text("What was seen", 1000),
  figures: yup.array(figurePair.required()).label("Figures").required().max(10),
  outlet: oneOf("Outlet", ["residual-current", "other", "not-said"]),
  taken: oneOf("Taken", ["now", "afterwards"]),
});

export const followUp = strictObject({
  about: oneOf("About", ["look-again", "temporary-part"]),
  what: yup.string().label("What to look at").required().max(300),
  onDay: day,
  belowCelsius: finiteNumber().label("Below, °C").nullable().defined().min(-60).max(60),
  afterHours: finiteNumber().label("After hours of running").nullable().defined().moreThan(0).max(100_000),
  condition: text("Condition", 200),
});

export const followedUp = strictObject({
  line: wholeNumber("Line").required().min(1),
  result: oneOf("Found", ["good", "came-back", "let-go"]),
  words: text("What was found", 500),
});
