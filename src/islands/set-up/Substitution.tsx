import { SUBSTITUTION } from "@/core/matching/schools";
import type { Settings } from "@/core/shop/settings";
import { Choices } from "../fields/Choices";

type Chosen = Settings["substitution"];

interface SubstitutionProps {
  readonly chosen: Chosen;
  onChange(chosen: Chosen): void;
}

/** Schools of substitution, each with why one would choose so; none lets pass what is unsafe. */
export function Substitution({ chosen, onChange }: SubstitutionProps) {
  const { seals, "capacitor-value": value } = SUBSTITUTION;
  const why = (choices: readonly { value: string; why: string }[], now: string): string =>
    choices.find((one) => one.value === now)?.why ?? "";
  return (
    <>
      <Choices<Chosen["capacitor-value"]>
        legend={value.label}
        name="capacitor-value"
        choices={value.choices}
        value={chosen["capacitor-value"]}
        onChoose={(next) => onChange({ ...chosen, "capacitor-value": next })}
      />
      <p className="text-soft">{why(value.choices, chosen["capacitor-value"])}</p>
      <Choices<Chosen["seals"]>
        legend={seals.label}
        name="seals"
        choices={seals.choices}
        value={chosen.seals}
        onChoose={(next) => onChange({ ...chosen, seals: next })}
      />
      <p className="text-soft">{why(seals.choices, chosen.seals)} The first of each is the default.</p>
    </>
  );
}
