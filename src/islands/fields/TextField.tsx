import { Field } from "./Field";

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly hint?: string;
  readonly error?: string | undefined;
  readonly isFigure?: boolean;
  readonly className?: string;
  onType(text: string): void;
}

/** One line of text, or a figure that a phone offers its number keys for. */
export function TextField({ label, hint, error, value, isFigure, className, onType }: TextFieldProps) {
  return (
    <Field label={label} hint={hint} error={error} {...(className ? { className } : {})}>
      {(ids) => (
        <input
          {...ids}
          className={isFigure ? "input num" : "input"}
          inputMode={isFigure ? "decimal" : "text"}
          autoComplete="off"
          value={value}
          onChange={(event) => onType(event.target.value)}
        />
      )}
    </Field>
  );
}
