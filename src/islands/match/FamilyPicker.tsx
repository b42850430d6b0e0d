import { Field } from "../fields/Field";

export interface NamedFamily {
  readonly id: string;
  readonly title: string;
}

interface PickerProps {
  readonly families: readonly NamedFamily[];
  readonly family: string;
  onPick(family: string): void;
}

/** Which part is to be matched. */
export function FamilyPicker({ families, family, onPick }: PickerProps) {
  return (
    <Field label="Part to be matched" className="mb-3">
      {(ids) => (
        <select {...ids} className="select" value={family} onChange={(event) => onPick(event.target.value)}>
          {families.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** The family that the address asks for, where it is one of these. */
export function familyInAddress(families: readonly NamedFamily[]): string | undefined {
  const asked = new URLSearchParams(window.location.search).get("part");
  return families.find(({ id }) => id === asked)?.id;
}
