import { type ReactNode, useEffect, useRef } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Asked } from "@/core/matching/asked.input";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { From } from "@/core/matching/source";
import { Field } from "../fields/Field";
import { useDraft } from "../state/draft";
import { Candidates, Rejected } from "./Candidates";
import { Compare } from "./Compare";
import { Conflicts } from "./Conflicts";
import { Looked } from "./Looked";
import { Together } from "./Together";
import { useMatch } from "./use-match";
import { Wanted } from "./Wanted";

type Candidate = MatchAnswer["candidates"][number];

/** What is typed for a family in this job, kept on the device. */
interface MatchDraft {
  readonly marking: string;
  readonly typed: Readonly<Record<string, string>>;
  readonly settled: Readonly<Record<string, From>>;
  readonly schools: Readonly<Record<string, string>>;
  readonly looked: string | undefined;
  /** Candidates that stand beside each other. */
  readonly beside: readonly string[];
}

const EMPTY: MatchDraft = { marking: "", typed: {}, settled: {}, schools: {}, looked: undefined, beside: [] };

/** As many as fit beside each other. */
const MOST_BESIDE = 4;

const pairsOf = <T,>(table: Readonly<Record<string, T>>) =>
  Object.entries(table).map(([attribute, of]) => ({ attribute, of }));

function askedOf(family: string, { marking, typed, settled, schools }: MatchDraft): Asked {
  return { family, marking, typed: pairsOf(typed), settled: pairsOf(settled), schools: pairsOf(schools) };
}

/** A marking that the type line handed over, for the family that it names. */
function handedOver(family: string): string | undefined {
  const query = new URLSearchParams(window.location.search);
  return query.get("part") === family ? (query.get("mark") ?? undefined) : undefined;
}

/** What stands around the candidate looked at. */
export interface About {
  readonly asked: Asked;
  /** Whether two sources still contradict each other. */
  readonly isUnsettled: boolean;
  /** How many are fitted together. */
  readonly fitted: number;
}

interface SheetProps {
  /** The job it is for; null on the page of parts. */
  readonly job: Pick<JobView, "jobId" | "seq"> | null;
  readonly currency: string;
  readonly family: string;
  /** Which part it is about. */
  readonly picker: ReactNode;
  /** What can be done with the candidate looked at. */
  action(one: Candidate, about: About): ReactNode;
  /** What can be done with a combination; nothing without a job. */
  inPlace?(one: MatchAnswer["together"][number], about: Omit<About, "isUnsettled">): ReactNode;
  /** What stands under the list. */
  foot?(asked: Asked): ReactNode;
}

/** What is needed of a part, typed where the job does not know it, and what fits, with its reasons. */
export function MatchSheet({ job, currency, family, picker, action, inPlace, foot }: SheetProps) {
  const [draft, setDraft] = useDraft<MatchDraft>(`match:${job?.jobId ?? "loose"}:${family}`, EMPTY);
  const handed = useRef(handedOver(family));
  useEffect(() => {
    // Said anew: what was typed for another part gives way.
    if (handed.current !== undefined) setDraft({ ...EMPTY, marking: handed.current });
    handed.current = undefined;
  });
  const set = (change: Partial<MatchDraft>): void => setDraft({ ...draft, ...change });
  const asked = askedOf(family, draft);
  const { answer, issues, isBusy } = useMatch(job?.jobId ?? null, job?.seq ?? 0, asked);
  const marking = issues.find(({ path }) => path === "marking")?.message;
  if (!answer)
    return (
      <>
        {picker}
        {isBusy ? (
          <p className="text-lg text-soft">Working out what fits …</p>
        ) : (
          <p role="alert" className="font-semibold text-lg text-oxide">
            {issues.map(({ message }) => message).join(" ")}
            <button type="button" className="btn btn-outline ml-3" onClick={() => setDraft(EMPTY)}>
              Begin anew
            </button>
          </p>
        )}
      </>
    );
  const one = answer.candidates.find(({ id }) => id === draft.looked) ?? answer.candidates[0];
  return (
    <>
      <div className="grid gap-x-4 md:grid-cols-2">
        {picker}
        {answer.family.hasMark ? (
          <Field label="What is printed on the old one" error={marking} className="mb-3">
            {(ids) => (
              <input
                {...ids}
                className="input num"
                autoComplete="off"
                placeholder="as it stands there"
                value={draft.marking}
                onChange={(event) => set({ marking: event.target.value })}
              />
            )}
          </Field>
        ) : null}
      </div>
      <Conflicts
        conflicts={answer.conflicts}
        onSettle={(attribute, from) => set({ settled: { ...draft.settled, [attribute]: from } })}
      />
      {answer.notes.map((note) => (
        <p key={note} className="mb-3 font-semibold text-brass text-lg">
          {note}
        </p>
      ))}
      <Wanted
        answer={answer}
        typed={draft.typed}
        issues={issues}
        onType={(attribute, text) => set({ typed: { ...draft.typed, [attribute]: text } })}
        onSchool={(school, value) => set({ schools: { ...draft.schools, [school]: value } })}
      />
      <Compare
        candidates={answer.candidates.filter(({ id }) => draft.beside.includes(id))}
        needed={answer.needed}
        currency={currency}
        onDrop={(partId) => set({ beside: draft.beside.filter((id) => id !== partId) })}
      />
      <div className="mt-4 grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="order-last lg:order-none" aria-busy={isBusy}>
          {answer.candidates.length === 0 ? (
            <p className="text-lg">Nothing on the list fits. What fails is told below, by reason.</p>
          ) : null}
          <Candidates
            candidates={answer.candidates}
            found={answer.found}
            needed={answer.needed}
            currency={currency}
            chosenId={one?.id}
            onLook={(looked) => set({ looked })}
          />
          <Together
            together={answer.together}
            currency={currency}
            action={(made) => inPlace?.(made, { asked, fitted: answer.fitted })}
          />
          <Rejected rejected={answer.rejected} nearMisses={answer.nearMisses} />
          {foot?.(asked)}
        </div>
        {one ? (
          <Looked key={one.id} one={one} currency={currency} fitted={answer.fitted}>
            {draft.beside.includes(one.id) || draft.beside.length >= MOST_BESIDE ? null : (
              <button
                type="button"
                className="min-h-11 text-teal underline underline-offset-4"
                onClick={() => set({ beside: [...draft.beside, one.id] })}
              >
                {draft.beside.length === 0 ? "put it beside others" : "put it beside them"}
              </button>
            )}
            {action(one, { asked, isUnsettled: answer.conflicts.length > 0, fitted: answer.fitted })}
          </Looked>
        ) : null}
      </div>
    </>
  );
}
