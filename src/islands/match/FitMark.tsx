import type { Fit } from "@/core/matching/judge";
import { type MarkShape, VerdictMark } from "../frame/VerdictMark";

const SHAPES: Readonly<Record<Fit, MarkShape>> = {
  fit: "sound",
  note: "suspect",
  temporary: "undecided",
  open: "undecided",
  reject: "faulty",
};

export const FIT_WORDS: Readonly<Record<Fit, string>> = {
  fit: "Fits",
  note: "Fits, with a note",
  temporary: "For a while only",
  open: "Not known yet",
  reject: "Does not fit",
};

export function FitMark({ fit, size = 20 }: { readonly fit: Fit; readonly size?: number }) {
  return (
    <span className="inline-flex items-center gap-2">
      <VerdictMark shape={SHAPES[fit]} size={size} />
      <span className="sr-only">{FIT_WORDS[fit]}</span>
    </span>
  );
}
