import { useState } from "react";
import { EMPTY_REFITTED_FACTS } from "@/core/job/log/empty-facts";
import { HARMLESS, NOT_SAID, protectionOf } from "@/core/job/reassembly/protective";
import type { ToPutBack } from "@/core/job/reassembly/put-back";
import type { OffLine as Off } from "@/core/job/reassembly/reassembly";
import { needToPutBack } from "@/core/job/reassembly/touched";
import type { Protection } from "@/core/knowledge/types";
import { offWords } from "@/words/put-back";
import { Choices } from "../fields/Choices";
import { Problem } from "../fields/Problem";
import { useAnchored } from "../frame/anchor";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";

interface LineProps {
  readonly screen: JobScreen;
  readonly one: ToPutBack;
  readonly isNow: boolean;
  /** Small parts that move from the old part to a new one. */
  readonly carries: readonly string[];
  readonly protections: readonly Protection[];
  /** The handle that drags this line, where lines can be moved. */
  readonly handle?: React.ReactNode;
  /** Shows on a picture where this line belongs; undefined where there is no picture. */
  readonly onPin?: ((line: number) => void) | undefined;
}

const REFIT_WORDS = { back: "", replaced: ", new one fitted", "left-out": ", left out" } as const;

function Back({ off }: { readonly off: Off }) {
  const { refit } = off;
  if (!refit) return null;
  return (
    <span>
      {offWords(off)}
      {REFIT_WORDS[refit.how]}
      {refit.why ? `: ${refit.why}` : ""}
      {refit.carried.length > 0 ? `; moved over: ${refit.carried.join(", ")}` : ""}
    </span>
  );
}

interface SomeProps {
  readonly off: Off;
  onSome(count: number): void;
}

/** Half-ticked lines stay half ticked: how many of them are back. */
function Some({ off, onSome }: SomeProps) {
  const counts = Array.from({ length: Math.min(off.left - 1, 8) }, (_, index) => index + 1);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <span>Only</span>
      {counts.map((count) => (
        <button key={count} type="button" className="btn btn-outline num" onClick={() => onSome(count)}>
          {count}
        </button>
      ))}
      <span>of {off.left} back</span>
    </div>
  );
}

interface CarriedProps {
  readonly carries: readonly string[];
  onFitted(carried: readonly string[]): void;
}

/** What was moved over from the old part, before the new one is ticked. */
function Carried({ carries, onFitted }: CarriedProps) {
  const [moved, setMoved] = useState<readonly string[]>([]);
  const toggle = (part: string): void =>
    setMoved(moved.includes(part) ? moved.filter((one) => one !== part) : [...moved, part]);
  return (
    <fieldset className="mt-2">
      <legend className="label-line">Moved over from the old one</legend>
      <div className="flex flex-wrap items-center gap-2">
        {carries.map((part) => (
          <label className="chip" key={part}>
            <input
              className="sr-only"
              type="checkbox"
              checked={moved.includes(part)}
              onChange={() => toggle(part)}
            />
            {part}
          </label>
        ))}
        <button type="button" className="btn btn-primary" onClick={() => onFitted(moved)}>
          New one fitted
        </button>
      </div>
    </fieldset>
  );
}

/** The harmless answer first: it is the one that is given most. */
function choicesOf(protections: readonly Protection[]) {
  const harmless = protections.filter(({ id }) => id === HARMLESS);
  const rest = protections.filter(({ id }) => id !== HARMLESS);
  return [...harmless, ...rest].map(({ id, label }) => ({ value: id, label }));
}

interface WhyProps {
  readonly off: Off;
  readonly protections: readonly Protection[];
  onLeave(why: string, protects: string): void;
}

function Why({ off, protections, onLeave }: WhyProps) {
  const [why, setWhy] = useState("");
  const known = protectionOf(off, protections)?.id;
  const [said, setSaid] = useState<string | undefined>(undefined);
  const isGuard = (known ?? said ?? NOT_SAID) !== HARMLESS;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      {known === undefined ? (
        <Choices<string>
          legend={`Does it keep anyone from harm? Say which it is: ${off.what}`}
          name={`protects-${off.seq}`}
          choices={choicesOf(protections)}
          value={said}
          onChoose={setSaid}
        />
      ) : null}
      {isGuard ? (
        <p className="w-full font-semibold text-oxide">
          {known === undefined && said === undefined
            ? "Until that is said it counts as keeping someone from harm: the machine leaves with “do not use”."
            : "It keeps someone from harm: it cannot be left out. Not fitted, the machine leaves with “do not use”."}
        </p>
      ) : null}
      <label className="grow">
        <span className="label-line">{isGuard ? "Why it is not fitted" : "Why it is left out"}</span>
        <input className="input" value={why} onChange={(event) => setWhy(event.target.value)} />
      </label>
      <button type="button" className="btn btn-outline" onClick={() => onLeave(why, said ?? NOT_SAID)}>
        {isGuard ? "Not fitted: do not use" : "Leave it out"}
      </button>
    </div>
  );
}

type Form = "other" | "some" | "carried" | "left-out";

function Details({ off, access }: { readonly off: Off | undefined; readonly access: string | null }) {
  const facts = off
    ? [
        off.where,
        off.torque,
        off.adhesive,
        off.left < off.count ? `${off.left} of ${off.count} still off` : "",
      ]
    : ["off"];
  const told = facts.filter((fact) => fact !== "").join(" · ");
  if (told === "") return null;
  return <span className={access ? "ml-2 text-soft" : "block text-lg"}>{told}</span>;
}

/** One thing that came off. The one to put back now is the loudest. */
export function OffLine({ screen, one, isNow, carries, protections, handle, onPin }: LineProps) {
  const { job } = screen;
  const { post, problem, isBusy } = usePost(job.jobId);
  const [form, setForm] = useState<Form | undefined>(undefined);
  const { ref } = useAnchored<HTMLDivElement>(isNow ? "off" : undefined);
  const off = job.removed.find(({ seq }) => seq === one.line);
  const what = one.access ?? (off ? offWords(off) : "");
  const taken = screen.taken(needToPutBack(one, job.removed));
  const isLoud = isNow && taken === "now";
  const refit = async (how: "back" | "replaced" | "left-out", said: object = {}): Promise<void> => {
    const payload = { ...EMPTY_REFITTED_FACTS, line: one.line, how, taken, ...said };
    if (await post({ kind: "refitted", stage: "put-back", payload })) setForm(undefined);
  };
  const back = (): void => {
    if (one.access === null) void refit("back");
    else void post({ kind: "closed", stage: "put-back", payload: { access: one.access, taken } });
  };
  if (off?.refit)
    return (
      <div className="flex min-h-12 items-center gap-3 border-rule border-t text-soft">
        <span className="h-4 w-7 shrink-0 bg-ink" aria-hidden="true" />
        <Back off={off} />
      </div>
    );
  const tick = off?.sort === "mark" ? "Marks line up" : "Back on";
  const takesOver = off?.sort === "part" && carries.length > 0;
  const isFew = off !== undefined && off.left > 1;
  return (
    <div
      ref={ref}
      className={isNow ? "move my-2 px-4 py-3" : "border-rule border-t py-2"}
      data-testid={`off-${one.seq}`}
    >
      <div className="flex flex-wrap items-center gap-3">
        {handle}
        <span className="min-w-0 flex-1 basis-56">
          <span className={isNow ? "block font-bold text-[28px] leading-tight" : "font-semibold"}>
            {what}
          </span>
          <Details off={off} access={one.access} />
        </span>
        <button
          type="button"
          className={isLoud ? "btn btn-primary btn-loud" : "btn btn-outline"}
          aria-label={`${tick}: ${what}`}
          disabled={isBusy}
          onClick={back}
        >
          {tick}
        </button>
        {one.access === null ? (
          <button
            type="button"
            className="btn btn-outline"
            aria-label={`Otherwise: ${what}`}
            aria-expanded={form !== undefined}
            onClick={() => setForm(form ? undefined : "other")}
          >
            Otherwise …
          </button>
        ) : null}
      </div>
      {form === "other" ? (
        <div className="mt-2 flex flex-wrap gap-2">
          {isFew ? (
            <button type="button" className="btn btn-outline" onClick={() => setForm("some")}>
              Some of them are back
            </button>
          ) : null}
          {off?.sort === "mark" ? null : (
            <button
              type="button"
              className="btn btn-outline"
              aria-label={`New one fitted: ${what}`}
              disabled={isBusy}
              onClick={takesOver ? () => setForm("carried") : () => void refit("replaced")}
            >
              New one fitted
            </button>
          )}
          <button type="button" className="btn btn-outline" onClick={() => setForm("left-out")}>
            Left out
          </button>
          {onPin && off ? (
            <button type="button" className="btn btn-outline" onClick={() => onPin(off.seq)}>
              {off.pin ? "Pin it elsewhere" : "Pin it on the picture"}
            </button>
          ) : null}
        </div>
      ) : null}
      {form === "some" && off ? <Some off={off} onSome={(count) => void refit("back", { count })} /> : null}
      {form === "carried" ? (
        <Carried carries={carries} onFitted={(carried) => void refit("replaced", { carried })} />
      ) : null}
      {form === "left-out" && off ? (
        <Why
          off={off}
          protections={protections}
          onLeave={(why, protects) => void refit("left-out", { why, protects })}
        />
      ) : null}
      <Problem text={problem} />
    </div>
  );
}
