import { useState } from "react";
import { parseReading } from "@/core/quantity/parse-reading";
import type { QuantityId, Reading } from "@/core/quantity/reading";
import type { Issue } from "@/core/result";

/** What the typed text means so far. The text itself is never rewritten. */
export interface FieldState {
  readonly text: string;
  readonly reading: Reading | undefined;
  /** What is worth saying though it was understood, such as a decimal comma. */
  readonly said: string | undefined;
  /** Shown only after Enter or when the field is left. */
  readonly problem: string | undefined;
}

export interface ReadingFieldModel extends FieldState {
  type(text: string): void;
  leave(): void;
  /** The server's own objection to this field. */
  object(issues: readonly Issue[]): void;
  /** @returns the text when it can be read, and shows what is wrong when it cannot */
  take(): string | undefined;
}

interface ReadingFieldOptions {
  readonly quantity: QuantityId;
  readonly label: string;
  readonly text: string;
  onText(text: string): void;
}

/** The one way to type a number: state, live check and shown check. No markup. */
export function useReadingField({ quantity, label, text, onText }: ReadingFieldOptions): ReadingFieldModel {
  const [shown, setShown] = useState<string | undefined>(undefined);
  const parsed = text.trim() === "" ? undefined : parseReading(text, quantity, label);
  const live = parsed && !parsed.ok ? parsed.issues[0]?.message : undefined;
  return {
    text,
    reading: parsed?.ok ? parsed.value.reading : undefined,
    said: parsed?.ok ? parsed.value.said : undefined,
    problem: shown,
    type(next) {
      setShown(undefined);
      onText(next);
    },
    leave() {
      if (live) setShown(live);
    },
    object(issues) {
      setShown(issues.map(({ message }) => message).join(" "));
    },
    take() {
      const checked = parseReading(text, quantity, label);
      if (checked.ok) return text;
      setShown(checked.issues[0]?.message);
      return undefined;
    },
  };
}
