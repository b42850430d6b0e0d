import * as yup from "yup";
import { oneOf, taken, text } from "@/core/fields.input";
import { parseReading } from "@/core/quantity/parse-reading";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const FIGURES = ["current", "time", "capacitance", "noise", "temperature", "speed"] as const;

const pair = strictObject({
  quantity: oneOf("Figure", FIGURES),
  before: text("Before", 40),
  after: text("After", 40),
});
type Pair = yup.InferType<typeof pair>;

/** The first thing wrong with one of its two sides, and where. */
function wrongIn(
  given: Pair,
  isKept: boolean,
): { readonly side: string; readonly message: string } | undefined {
  // The fields' own tests tell of a quantity that is none, or a figure that is no text.
  if (!FIGURES.some((one) => one === given.quantity)) return undefined;
  for (const side of ["before", "after"] as const) {
    const typed = given[side];
    if (typeof typed !== "string" || typed === "") continue;
    const parsed = parseReading(typed, given.quantity, `${given.quantity} ${side}`);
    const read = parsed.ok ? parsed.value.reading : undefined;
    if (given.quantity === "time" && read?.kind === "value" && read.value <= 0)
      return {
        side,
        message: `Stop time "${typed}" is none: write the seconds until it stood still, such as 2.5.`,
      };
    const isNegative = !parsed.ok && parsed.issues[0]?.code === "reading/negative";
    if (!parsed.ok && (!isKept || isNegative)) return { side, message: parsed.issues[0]?.message ?? "" };
  }
  return undefined;
}

/** What was kept may be asked about today: it was read then. A stop of no time never was one. */
const figures = (isKept: boolean) =>
  yup
    .array(
      pair.required().test({
        name: "figure",
        test(given, context) {
          const wrong = wrongIn(given, isKept);
          return wrong
            ? context.createError({ message: wrong.message, path: `${context.path}.${wrong.side}` })
            : true;
        },
      }),
    )
    .label("Figures")
    .required()
    .max(10);

/** The run that shows whether the complaint is gone. */
export const schema = strictObject({
  circumstance: oneOf("Run", ["cold", "hot", "loaded", "idle"]),
  minutes: finiteNumber().label("Minutes").required().moreThan(0).max(10_000),
  result: oneOf("Result", ["gone", "still-there", "stopped"]),
  words: text("What was seen", 1000),
  figures: figures(true),
  outlet: oneOf("Outlet", ["residual-current", "other", "not-said"]),
  /** Which way it turned, where that was looked at. */
  turns: oneOf("Turns", ["right", "wrong", "not-said"]),
  taken: taken(),
});

/** What a screen posts: its figures can be read. */
export const draft = schema.shape({ figures: figures(false) });

export const versions: readonly Upcaster[] = [
  withFields({ outlet: "not-said" }),
  withFields({ turns: "not-said" }),
];
