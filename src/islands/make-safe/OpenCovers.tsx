import { useState } from "react";
import { kindByName } from "@/core/job/door/machine-kind";
import { openedAccess } from "@/core/job/opened-access";
import { COVER_NEED } from "@/core/job/reassembly/touched";
import type { Access } from "@/core/knowledge/types";
import type { BenchGap } from "@/core/safety/bench-gaps";
import { isHoldable } from "@/core/safety/holdable";
import type { Shop } from "@/core/shop/shop";
import { BENCH_GAP_WORDS } from "@/words/gaps";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { HoldItem } from "../frame/HoldItem";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";
import { WhatCameOff } from "../taking-apart/WhatCameOff";

interface CoversProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
}

/** What is under a cover waits for it: only the charge is settled with the cover off. */
const UNDER_COVER: ReadonlySet<BenchGap> = new Set<BenchGap>(["charge", "stop"]);

/** The covers of this machine, one tap each: those of its kind, or every usual one where the kind is not known. */
function coversOf({ job }: JobScreen, { access, archetypes }: Shop): readonly Access[] {
  const opened = openedAccess(job, job.bench.opened, access);
  const ofKind = Object.keys(kindByName(job.takenIn?.machine ?? "", archetypes)?.covers ?? {});
  return access.filter(({ id }) => !opened.includes(id) && (ofKind.length === 0 || ofKind.includes(id)));
}

/** A cover by a name of one's own, with which of the usual ones it is. */
function OwnName({
  shop,
  onOpen,
}: {
  readonly shop: Shop;
  onOpen(access: string, is: string): Promise<boolean>;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const [name, setName] = useState("");
  const [said, setSaid] = useState<string | undefined>(undefined);
  const typed = name.trim();
  const known = shop.access.find(({ names }) => names.includes(typed.toLowerCase()))?.id;
  const isAsked = typed !== "" && known === undefined;
  const is = known ?? said;
  const type = (text: string): void => {
    setName(text);
    setSaid(undefined);
  };
  const keep = async (): Promise<void> => {
    if (typed !== "" && is !== undefined && (await onOpen(typed, is))) type("");
  };
  if (!isOpen)
    return (
      <button
        type="button"
        className="min-h-11 text-teal underline underline-offset-4"
        onClick={() => setIsOpen(true)}
      >
        Something else is open
      </button>
    );
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Field label="Something else is open" className="w-64">
          {(ids) => (
            <input
              {...ids}
              className="input"
              value={name}
              placeholder="capacitor hump"
              onChange={(event) => type(event.target.value)}
              onKeyDown={(event) => event.key === "Enter" && keep()}
            />
          )}
        </Field>
        <button
          type="button"
          className="btn btn-outline"
          onClick={keep}
          disabled={isAsked && is === undefined}
        >
          Open
        </button>
      </div>
      {isAsked ? (
        <div className="mt-2" data-testid="which-cover">
          <Choices
            legend={`Which one is the ${typed}?`}
            name="which-cover"
            choices={[
              ...shop.access.map(({ id, names }) => ({ value: id, label: names[0] ?? id })),
              { value: "none", label: "none of these" },
            ]}
            value={said}
            onChoose={setSaid}
          />
        </div>
      ) : null}
    </>
  );
}

/** What is open, and what came off with it: a cover of this machine is one tap. */
export function OpenCovers({ screen, shop }: CoversProps) {
  const { job } = screen;
  const { post, problem, isBusy } = usePost(job.jobId);
  const first = screen.gaps("turning-inside").filter((gap) => !UNDER_COVER.has(gap));
  const taken = screen.taken(COVER_NEED);
  const open = (access: string, is: string): Promise<boolean> =>
    post({ kind: "opened", stage: "make-safe", payload: { access, is, taken } });
  return (
    <div className="mb-3">
      {first.length > 0 ? (
        <p className="pb-2 font-semibold text-oxide" data-testid="before-cover">
          Before a cover comes off: {first.map((gap) => BENCH_GAP_WORDS[gap]).join(", ")}.
        </p>
      ) : null}
      {first.filter(isHoldable).map((gap) => (
        <div key={gap} className="pb-2">
          <HoldItem job={job} stage="make-safe" id={gap} />
        </div>
      ))}
      <fieldset>
        <legend className="label-line">What is open</legend>
        <div className="flex flex-wrap gap-2">
          {coversOf(screen, shop).map(({ id, label, names }) => (
            <button
              key={id}
              type="button"
              className="chip"
              disabled={isBusy}
              onClick={() => void open(names[0] ?? id, id)}
            >
              {label}
            </button>
          ))}
          {job.bench.opened.map((one) => (
            <button
              key={one}
              type="button"
              className="btn btn-outline"
              disabled={isBusy}
              onClick={() =>
                void post({ kind: "closed", stage: "make-safe", payload: { access: one, taken } })
              }
            >
              Back on: {one}
            </button>
          ))}
        </div>
      </fieldset>
      {job.bench.opened.length > 0 ? <WhatCameOff screen={screen} stage="make-safe" /> : null}
      <OwnName shop={shop} onOpen={open} />
      <Problem text={problem} />
    </div>
  );
}
