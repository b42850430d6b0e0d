import { useState } from "react";
import { STRIKE_REASONS, type StrikeReason } from "@/core/job/log/strike-reasons";
import { STRIKE_WORDS } from "@/words/strikes";

interface WhyStruckProps {
  readonly line: number;
  onStrike(reason: StrikeReason, why: string): void;
  onCancel(): void;
}

/** A line that told of something, or of what was done, goes only with its reason; what it opened stays open. */
export function WhyStruck({ line, onStrike, onCancel }: WhyStruckProps) {
  const [why, setWhy] = useState("");
  return (
    <fieldset className="flex flex-wrap items-end gap-3 border-rule border-t py-3">
      <legend className="float-left mb-2 w-full font-semibold">
        Why is line {line} struck out? What it told of stays open until the same look or test says otherwise.
      </legend>
      <label className="grow basis-56">
        <span className="label-line">More about it, if there is more</span>
        <input className="input" value={why} onChange={(event) => setWhy(event.target.value)} />
      </label>
      {STRIKE_REASONS.map((reason) => (
        <button
          key={reason}
          type="button"
          className="btn btn-outline"
          onClick={() => onStrike(reason, why.trim())}
        >
          {STRIKE_WORDS[reason]}
        </button>
      ))}
      <button type="button" className="min-h-11 text-teal underline underline-offset-4" onClick={onCancel}>
        Leave it
      </button>
    </fieldset>
  );
}
