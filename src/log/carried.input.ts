import * as yup from "yup";
import { oneOf } from "@/core/fields.input";
import { DANGER_KINDS, type Danger, type Remedy } from "@/core/safety/dangers/danger";
import { PROOFS, type Proof } from "@/core/safety/proof";
import { finiteNumber, strictObject } from "@/core/validate";

const ids = () => yup.array(yup.string().required().max(60)).required().max(300);

/** Dangers that came in with a machine from its earlier visit, as they stood open then. */
export const carried = () =>
  yup
    .array(
      strictObject({
        kind: oneOf("Danger", DANGER_KINDS),
        place: yup.string().label("Place").required().max(300),
        test: yup.string().label("Test").required().max(300),
        /** Work that mends it: of these faults, at these stations, or any that can spoil this. */
        faults: ids(),
        stations: ids(),
        spoils: yup.array(oneOf("Proof", PROOFS)).required().max(9),
        /** Mended on that visit, and not tried. */
        isMended: yup.boolean().label("Mended").required(),
        /** Minutes after which it was told to come: the run that closes it lasts as long. */
        afterMinutes: finiteNumber().label("After minutes").required().min(0).max(10_000),
      }).required(),
    )
    .required()
    .max(60);

export interface Carried {
  readonly kind: Danger["kind"];
  readonly place: string;
  readonly test: string;
  readonly faults: readonly string[];
  readonly stations: readonly string[];
  readonly spoils: readonly Proof[];
  readonly isMended: boolean;
  readonly afterMinutes: number;
}

/** What mends a danger that came in with the machine. */
export function remediesOf({ kind, faults, stations, spoils }: Carried): readonly Remedy[] {
  return [
    ...(kind === "told-trip" ? (["any-repair"] as const) : []),
    ...(faults.length > 0 ? [{ faults }] : []),
    ...(stations.length > 0 ? [{ stations }] : []),
    ...spoils.map((proof) => ({ spoils: proof })),
  ];
}

/** A guard has another line on each visit: it is known again by what it is called. */
export const fittedTest = (what: string): string => `fitted:${what.trim().toLowerCase()}`;
