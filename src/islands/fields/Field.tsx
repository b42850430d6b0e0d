import { type ReactNode, useId } from "react";

interface FieldProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly className?: string;
  /** Gets the ids that tie label, hint and error to the control. */
  readonly children: (ids: {
    readonly id: string;
    readonly "aria-describedby"?: string;
    readonly "aria-invalid"?: true;
  }) => ReactNode;
}

/** A label, a control, and under it what is wrong with what was typed. */
export function Field({ label, hint, error, className = "", children }: FieldProps) {
  const id = useId();
  const told = error ?? hint;
  return (
    <div className={className}>
      <label className="label-line" htmlFor={id}>
        {label}
      </label>
      {children({
        id,
        ...(told ? { "aria-describedby": `${id}-told` } : {}),
        ...(error ? { "aria-invalid": true as const } : {}),
      })}
      {told ? (
        <p
          id={`${id}-told`}
          className={error ? "mt-1 font-semibold text-oxide" : "mt-1 text-soft"}
          role={error ? "alert" : undefined}
        >
          {told}
        </p>
      ) : null}
    </div>
  );
}
