import * as yup from "yup";
import { oneOf, taken, text } from "@/core/fields.input";
import { parseReading } from "@/core/quantity/parse-reading";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const FIGURES = ["current", "time", "capacitance", "noise", "temperature", "speed"] as const;

const figurePair = strictObject({
  quantity: oneOf("Figure", FIGURES),
  before: text("Before", 40),
  after: text("After", 40),
}).test({
  name: "figure",
  test(pair, context) {
    // The fields' own tests tell of a quantity that is none, or a figure that is no text.
    if (!FIGURES.some((one) => one === pair.quantity)) return true;
    for (const side of ["before", "after"] as const) {
      const typed = pair[side];
      if (typeof typed !== "string" || typed === "") continue;
      const parsed = parseReading(typed, pair.quantity, `${pair.quantity} ${side}`);
      const read = parsed.ok ? parsed.value.reading : undefined;
      if (pair.quantity === "time" && read?.kind === "value" && read.value <= 0)
        return context.createError({
          message: `Stop time "${typed}" is none: write the seconds until it stood still, such as 2.5.`,
          path: `${context.path}.${side}`,
        });
      if (!parsed.ok)
        return context.createError({
          message: parsed.issues[0]?.message ?? "",
          path: `${context.path}.${side}`,
        });
    }
    return true;
  },
});

/** The run that shows whether the complaint is gone. */
export const schema = strictObject({
  circumstance: oneOf("Run", ["cold", "hot", "loaded", "idle"]),
  minutes: finiteNumber().label("Minutes").required().moreThan(0).max(10_000),
  result: oneOf("Result", ["gone", "still-there", "stopped"]),
  words: text("What was seen", 1000),
  figures: yup.array(figurePair.required()).label("Figures").required().max(10),
  outlet: oneOf("Outlet", ["residual-current", "other", "not-said"]),
  /** Which way it turned, where that was looked at. */
  turns: oneOf("Turns", ["right", "wrong", "not-said"]),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [
  withFields({ outlet: "not-said" }),
  withFields({ turns: "not-said" }),
];
