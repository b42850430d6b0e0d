import * as yup from "yup";
import { oneOf, text } from "../fields.input";
import { type Shape, strictObject } from "../validate";
import { FROMS } from "./source";

const MOST_ATTRIBUTES = 20;
const named = <T extends yup.Schema>(of: T, label: string) =>
  yup
    .array(strictObject({ attribute: yup.string().label("Attribute").required().max(40), of }).required())
    .label(label)
    .required()
    .max(MOST_ATTRIBUTES);

/** What somebody says of a part, attribute by attribute, as it is typed. */
export const typedValues = () => named(text("Typed", 60), "Typed values");

/** What somebody says of the part that is needed: as it is printed, as it measures, and which of two sources is right. */
export const askedSchema = strictObject({
  family: yup.string().label("Family of parts").required().max(40),
  marking: text("Marking", 120),
  typed: typedValues(),
  settled: named(oneOf("Source", [...FROMS]), "Settled"),
  /** Schools that hold for this part alone; the shop's own hold where nothing is said. */
  schools: named(text("School", 40), "Schools"),
});

export type Asked = Shape<typeof askedSchema>;

/** Nothing but what the job knows by itself. */
export const NOTHING_SAID: Omit<Asked, "family"> = { marking: "", typed: [], settled: [], schools: [] };
