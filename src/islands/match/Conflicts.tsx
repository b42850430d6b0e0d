import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { From } from "@/core/matching/source";
import { FROM_WORDS } from "@/words/match";

interface ConflictsProps {
  readonly conflicts: MatchAnswer["conflicts"];
  onSettle(attribute: string, from: From): void;
}

/** Sources that cannot both be right: nothing is matched by that attribute before one of them is taken. */
export function Conflicts({ conflicts, onSettle }: ConflictsProps) {
  if (conflicts.length === 0) return null;
  return (
    <section aria-label="To be settled first" className="move mb-4 px-5 py-4">
      <h2 className="font-bold text-xl">Which of them is right?</h2>
      <p className="text-soft">
        Nothing can be taken before that. A worn stamp and a ring that spun both mislead.
      </p>
      {conflicts.map(({ attribute, label, sources, proposed }) => (
        <div key={attribute} className="mt-2 flex flex-wrap items-center gap-3">
          <b className="min-w-24">{label}</b>
          {sources.map(({ from, value, said, canBeTaken }) =>
            from === null ? null : canBeTaken ? (
              <button
                key={`${from} ${value}`}
                type="button"
                className={from === proposed ? "btn btn-primary" : "btn btn-outline"}
                onClick={() => onSettle(attribute, from)}
              >
                {value}, {FROM_WORDS[from]} ({said})
              </button>
            ) : (
              <span key={`${from} ${value}`}>
                {value}, {FROM_WORDS[from]} ({said}): asks for less than what is printed and is not taken.
                Look at the print again; if it says so too, write the print anew.
              </span>
            ),
          )}
        </div>
      ))}
    </section>
  );
}
