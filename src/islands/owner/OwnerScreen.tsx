import { useState } from "react";
import { wordNow } from "@/core/job/sign-off/word-now";
import type { Standing } from "@/core/job/standing";
import { formatDay, formatInstant } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { SIGN_OFF_WORDS } from "@/words/runs";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { PlainFrame } from "../frame/PlainFrame";
import { withShop } from "../frame/with-shop";
import { request } from "../state/api";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";

interface OwnerScreenProps {
  readonly owner: {
    readonly id: number;
    readonly name: string;
    readonly contact: string;
    readonly version: number;
  };
  readonly jobs: readonly { readonly standing: Standing; readonly touchedAt: string }[];
  readonly shop: Shop;
}

/** Name and ways to reach them; refused where another device changed them meanwhile, with what is typed kept. */
function Ways({ owner }: Pick<OwnerScreenProps, "owner">) {
  const [{ name, contact, version }, setCurrent] = useState(owner);
  // Only what was changed here: the other field follows what the shop has.
  const [changes, setChanges, clear] = useDraft<{ readonly name?: string; readonly contact?: string }>(
    `owner-changes:${owner.id}`,
    {},
  );
  const ways = { name, contact };
  const draft = { ...ways, ...changes };
  const [isStale, setIsStale] = useState(false);
  const [said, setSaid] = useState<string | undefined>(undefined);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const keep = async (): Promise<void> => {
    const answer = await request("PUT /api/owners/{id}", {
      params: { id: String(owner.id) },
      body: { ...draft, version },
    });
    setSaid(answer.ok ? "Kept." : undefined);
    setProblem(answer.ok ? undefined : answer.issues.map(({ message }) => message).join(" "));
    setIsStale(!answer.ok && answer.issues.some(({ code }) => code === "stale/owner"));
    if (!answer.ok) return;
    setCurrent({ ...owner, ...draft, version: answer.value.version });
    clear();
  };
  return (
    <form
      className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] sm:items-end"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Field label="Name">
        {(ids) => (
          <input
            {...ids}
            className="input"
            dir="auto"
            value={draft.name}
            maxLength={300}
            onChange={(event) => setChanges({ ...changes, name: event.target.value })}
          />
        )}
      </Field>
      <Field label="Reached by">
        {(ids) => (
          <input
            {...ids}
            className="input"
            dir="auto"
            value={draft.contact}
            onChange={(event) => setChanges({ ...changes, contact: event.target.value })}
          />
        )}
      </Field>
      <button type="submit" className="btn btn-primary">
        Keep
      </button>
      <div className="sm:col-span-3 empty:hidden">
        {said ? <p role="status">{said}</p> : null}
        <Problem text={problem} />
        {isStale ? (
          <button type="button" className="btn btn-outline mt-2" onClick={() => window.location.reload()}>
            Load it again; what is typed here stays
          </button>
        ) : null}
      </div>
    </form>
  );
}

/** What was promised for a day or a condition, and is not done yet. */
function Promised({ jobs }: Pick<OwnerScreenProps, "jobs">) {
  const open = jobs.flatMap(({ standing }) =>
    standing.followUps.filter(({ done }) => done === null).map((promise) => ({ standing, promise })),
  );
  if (open.length === 0) return null;
  return (
    <section aria-label="Promised" className="mt-6">
      <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">Promised</h2>
      <ul>
        {open.map(({ standing, promise }) => (
          <li key={`${standing.jobId}:${promise.seq}`} className="border-rule border-t py-2">
            {promise.onDay ? <b className="mr-2">{formatDay(promise.onDay)}</b> : null}
            {promise.what}
            {promise.condition ? ` (${promise.condition})` : ""}{" "}
            <span className="text-soft">
              · job {standing.jobId}, {inSentence(standing.takenIn?.machine ?? "")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Brought({ jobs, shop }: Pick<OwnerScreenProps, "jobs" | "shop">) {
  return (
    <section aria-label="What they brought" className="mt-6">
      <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">
        What they brought <span className="num font-normal text-soft">{jobs.length}</span>
      </h2>
      <ul>
        {jobs.map(({ standing, touchedAt }) => (
          <li key={standing.jobId} className="border-rule border-t">
            <a
              href={`/jobs/${standing.jobId}/${standing.signedOff ? "sheet" : "take-in"}`}
              className="grid min-h-12 items-center gap-x-5 py-1.5 hover:bg-sheet md:grid-cols-[280px_minmax(0,1fr)_200px]"
            >
              <span>
                <b className="num">{standing.jobId}</b> <b>{standing.takenIn?.machine}</b>
              </span>
              <span>
                {[
                  standing.decision?.label ?? "",
                  standing.signedOff
                    ? SIGN_OFF_WORDS[wordNow(standing, standing.signedOff, shop).word]
                    : "still here",
                ]
                  .filter((one) => one !== "")
                  .join(" · ")}
              </span>
              <span className="text-soft">{formatInstant(touchedAt, shop.settings.zone)}</span>
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Name and contact taken out of the book for good; asked twice, with what is then no longer possible. */
function Forget({ owner, jobs }: Pick<OwnerScreenProps, "owner" | "jobs">) {
  const [isAsked, setIsAsked] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const open = jobs.filter(({ standing }) => !standing.signedOff).length;
  const forget = async (): Promise<void> => {
    const answer = await request("DELETE /api/owners/{id}", { params: { id: String(owner.id) } });
    if (answer.ok) window.location.reload();
    else setProblem(answer.issues.map(({ message }) => message).join(" "));
  };
  return (
    <div className="mt-8">
      {isAsked ? (
        <p className="mb-2 font-semibold">
          Name and contact go for good; jobs and readings stay without them.
          {open > 0
            ? ` ${open === 1 ? "One machine is" : `${open} machines are`} still here: nobody can be rung about ${open === 1 ? "it" : "them"} any more.`
            : ""}
        </p>
      ) : null}
      <button
        type="button"
        className="btn btn-outline"
        onClick={() => (isAsked ? void forget() : setIsAsked(true))}
      >
        {isAsked ? "Forget them for good" : "They ask to be forgotten …"}
      </button>
      <Problem text={problem} />
    </div>
  );
}

/** An owner: how they are reached, what they brought, what they were promised. */
export const OwnerScreen = withShop(function OwnerScreen({ owner, jobs, shop }: OwnerScreenProps) {
  const isAwake = useAwake();
  const isForgotten = owner.name === "" && owner.contact === "";
  return (
    <PlainFrame path={undefined}>
      <h1 className="mb-3 font-bold text-[28px] leading-tight" dir="auto">
        {isForgotten ? "An owner who asked to be forgotten" : owner.name}
      </h1>
      {isAwake && !isForgotten ? <Ways owner={owner} /> : null}
      <Promised jobs={jobs} />
      <Brought jobs={jobs} shop={shop} />
      {isAwake && !isForgotten ? <Forget owner={owner} jobs={jobs} /> : null}
    </PlainFrame>
  );
});
