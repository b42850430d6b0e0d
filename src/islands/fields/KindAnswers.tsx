import type { KindQuestion } from "@/core/safety/kind-questions";
import { KIND_ANSWER_WORDS, KIND_QUESTION_WORDS } from "@/words/kind-questions";

interface AnswersProps {
  readonly questions: readonly KindQuestion[];
  readonly isBusy?: boolean;
  /** As large as what is tapped at the bench. */
  readonly isLarge?: boolean;
  /** A hazard that it has, or undefined where it has nothing of the kind. */
  onSay(question: KindQuestion, hazard: string | undefined): void;
}

/** The questions about a machine whose name is not known: each with what it may have, or that it has nothing of it. */
export function KindAnswers({ questions, isBusy = false, isLarge = false, onSay }: AnswersProps) {
  return questions.map((question) => {
    const asked = KIND_QUESTION_WORDS[question.id];
    const none = question.hazards.length > 1 ? "Neither" : "None";
    return (
      <fieldset key={question.id} className="flex flex-wrap items-center gap-2">
        <legend className="mb-1 font-semibold">{asked}</legend>
        {[...question.hazards, undefined].map((hazard) => {
          const words = hazard === undefined ? none : KIND_ANSWER_WORDS.get(hazard);
          return (
            <button
              key={hazard ?? "none"}
              type="button"
              className={`btn btn-outline ${isLarge ? "btn-bench" : ""}`}
              disabled={isBusy}
              aria-label={`${asked} ${words}`}
              onClick={() => onSay(question, hazard)}
            >
              {words}
            </button>
          );
        })}
      </fieldset>
    );
  });
}
