import type { UseFormReturn } from "react-hook-form";
import { Field } from "../fields/Field";
import type { TakeInForm as Form } from "./form";

type TextName = {
  [K in keyof Form]: Form[K] extends string ? (string extends Form[K] ? K : never) : never;
}[keyof Form];

interface TextProps {
  readonly form: UseFormReturn<Form>;
  readonly name: TextName;
  readonly label: string;
  readonly hint?: string;
  readonly placeholder?: string;
  readonly className?: string;
  readonly isNumber?: boolean;
}

/** One line of text of the form. */
export function Text({ form, name, label, hint, placeholder, className = "", isNumber = false }: TextProps) {
  return (
    <Field label={label} hint={hint} error={form.formState.errors[name]?.message} className={className}>
      {(ids) => (
        <input
          {...ids}
          className={`input ${isNumber ? "num" : ""}`}
          placeholder={placeholder}
          autoComplete="off"
          {...form.register(name)}
        />
      )}
    </Field>
  );
}
