import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { KIND_QUESTIONS, type KindQuestion } from "@/core/safety/kind-questions";
import { KindAnswers } from "../fields/KindAnswers";
import { Problem } from "../fields/Problem";
import { saidAgain } from "../state/said-again";
import { usePost } from "../state/use-post";

interface QuestionsProps {
  readonly job: JobView;
  readonly stage: Stage;
  onSettled?(): void;
}

/** What is asked once of a machine whose name is not known: each question with what it may have, or that it has nothing of it. */
export function KindQuestions({ job, stage, onSettled }: QuestionsProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { takenIn } = job;
  if (!takenIn) return null;
  const open = KIND_QUESTIONS.filter(({ id }) => job.machine.asks.includes(id));
  const say = async ({ id }: KindQuestion, hazard: string | undefined): Promise<void> => {
    const change =
      hazard === undefined
        ? { hasNone: [...takenIn.hasNone, id] }
        : { hazards: [...takenIn.hazards, hazard].sort() };
    const kept = await post({ kind: "taken-in", stage, payload: { ...saidAgain(takenIn, change) } });
    if (kept && open.length === 1) onSettled?.();
  };
  return (
    <div className="grid gap-3">
      <p>“{takenIn.machine}” is no machine that is known here by its name. Has it:</p>
      <KindAnswers
        questions={open}
        isBusy={isBusy}
        isLarge
        onSay={(question, hazard) => void say(question, hazard)}
      />
      <Problem text={problem} />
    </div>
  );
}
