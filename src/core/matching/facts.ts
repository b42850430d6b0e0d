import type { Source } from "./source";

/** What a job knows of its machine, as far as a part's requirement can come from it. Figures in SI units. */
export interface JobFacts {
  /** What is printed on the old capacitors, by their place. */
  readonly marks: Readonly<Partial<Record<"start" | "run", string>>>;
  /** Whether the old capacitor had a bleed resistor, as its reading says. */
  readonly hadResistor: boolean;
  /** Volts under which no capacitor of a kind is taken at this supply, whatever the old one was. */
  readonly floors: Readonly<Record<"start" | "run", number>>;
  readonly plate: Readonly<Partial<Record<"volts" | "hertz" | "amps" | "watts" | "poles", number>>>;
  /** Volts and hertz of the mains that feed it. */
  readonly mains: { readonly volts: number; readonly hertz: number };
  /** Whether it needs an earth conductor, and why; undefined without a job. */
  readonly earth: { readonly isNeeded: boolean; readonly said: string } | undefined;
  /** Kind of motor, where it is settled. */
  readonly motor: string | undefined;
}

/** A value that follows from another: how is said in words. */
export const follows = (attribute: string, value: Source["value"], said: string): Source => ({
  attribute,
  value,
  from: "worked-out",
  said,
});

/** A value of the machine's plate, where it has it. */
export const fromPlate = (attribute: string, value: number | undefined, said = "the plate"): Source[] =>
  value === undefined ? [] : [{ attribute, value, from: "plate", said }];

/** All that is printed on a part, as sources. */
export const fromMark = (
  read: Readonly<Record<string, Source["value"] | undefined>> | undefined,
  said: string,
): Source[] =>
  Object.entries(read ?? {}).flatMap(([attribute, value]): Source[] =>
    value === undefined ? [] : [{ attribute, value, from: "marked", said }],
  );
