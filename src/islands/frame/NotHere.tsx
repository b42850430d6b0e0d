import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Holdable } from "@/core/safety/holdable";
import { Field } from "../fields/Field";

interface NotHereProps {
  readonly job: JobView;
  readonly id: Holdable;
  readonly className: string;
  readonly isBusy: boolean;
  onSay(why: string | undefined): void;
}

/** Not in this machine: one tap, but for what machines of its kind have, where the reason is asked. */
export function NotHere({ job, id, className, isBusy, onSay }: NotHereProps) {
  const [why, setWhy] = useState<string | undefined>(undefined);
  const isAsked = job.machine.kindHas.includes(id);
  return (
    <>
      <button
        type="button"
        className={className}
        disabled={isBusy}
        onClick={() => (isAsked && why === undefined ? setWhy("") : onSay(why))}
      >
        {id === "coasting" ? "It does not run on" : "Not in this machine"}
      </button>
      {why === undefined ? null : (
        <Field label="Machines of this kind have it: why not this one?">
          {(ids) => (
            <input {...ids} className="input" value={why} onChange={(event) => setWhy(event.target.value)} />
          )}
        </Field>
      )}
    </>
  );
}
