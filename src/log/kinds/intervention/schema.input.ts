import * as yup from "yup";
import { oneOf, taken, text } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** Something done to the machine that can change it: it begins a new epoch of evidence. */
export const schema = strictObject({
  /** The repair, by the knowledge's name for it; empty in lines of before it was kept. */
  repair: text("Repair", 60),
  label: yup.string().label("What was done").required().max(120),
  faultIds: yup.array(yup.string().required().max(60)).label("Faults").required().max(80),
  success: finiteNumber().label("Chance that it cured").required().min(0).max(1),
  /** The fault was plainly seen before it was mended: the look that proves it. */
  seen: strictObject({
    moveId: yup.string().label("Look").required().max(60),
    outcomeId: yup.string().label("What was seen").required().max(60),
  })
    .nullable()
    .defined(),
  /** How the part that protects was checked: by Match, said to be of the same rating and kind, or not at all. */
  part: oneOf("Part", ["none", "matched", "same", "not-checked"]),
  taken: taken(),
});

/** What a screen posts; the server completes it. */
export const draft = strictObject({
  repair: yup.string().label("Repair").required().max(60),
  /** What was plainly seen and mended: the look counts as its direct proof. */
  seen: yup.string().label("What was seen").max(60),
  /** Whether a part that protects is of the rating and kind of the old one. */
  part: yup
    .string()
    .label("Part")
    .oneOf(["same", "not-checked"] as const),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [
  withFields({ seen: null }),
  withFields({ part: "none" }),
  withFields({ taken: "afterwards" }),
  withFields({ repair: "" }),
];
