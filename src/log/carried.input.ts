import * as yup from "yup";
import { oneOf } from "@/core/fields.input";
import { DANGER_KINDS, type Danger, openDangers, type Remedy } from "@/core/safety/dangers/danger";
import { strictObject } from "@/core/validate";

const ids = () => yup.array(yup.string().required().max(60)).required().max(300);
const PROOFS = ["look", "earth", "insulation"] as const;

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
  readonly spoils: readonly (typeof PROOFS)[number][];
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

/** Dangers of this visit alone: lines, charge and clips of the bench. */
const STAYS: ReadonlySet<Danger["kind"]> = new Set<Danger["kind"]>([
  "live",
  "charged",
  "clip-under-power",
  "left-plugged-in",
  "contradiction",
]);

/** What stands open on a machine that leaves, as it comes in again. */
export function carriedOf(dangers: readonly Danger[]): readonly Carried[] {
  return openDangers(dangers)
    .filter(({ kind }) => !STAYS.has(kind))
    .map(({ kind, place, test, remedies }) => ({
      kind,
      place,
      test,
      faults: remedies.flatMap((one) => (typeof one === "object" && "faults" in one ? one.faults : [])),
      stations: remedies.flatMap((one) => (typeof one === "object" && "stations" in one ? one.stations : [])),
      spoils: remedies.flatMap((one) => (typeof one === "object" && "spoils" in one ? [one.spoils] : [])),
    }));
}
