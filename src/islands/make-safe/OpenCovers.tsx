import { useState } from "react";
import type { JobView } from "@/core/job/log/reduce";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface CoversProps {
  readonly job: JobView;
  readonly shop: Shop;
}

/** What is open: a cover by its usual name, or one by a name of one's own with which of them it is. */
export function OpenCovers({ job, shop }: CoversProps) {
  const [name, setName] = useState("");
  const [said, setSaid] = useState<string | undefined>(undefined);
  const { post, problem } = usePost(job.jobId);
  const typed = name.trim();
  const known = shop.access.find(({ names }) => names.includes(typed.toLowerCase()))?.id;
  const isAsked = typed !== "" && known === undefined;
  const is = known ?? said;
  const type = (text: string): void => {
    setName(text);
    setSaid(undefined);
  };
  const keep = async (): Promise<void> => {
    if (typed === "" || is === undefined) return;
    if (await post({ kind: "opened", stage: "make-safe", payload: { access: typed, is } })) type("");
  };
  return (
    <div className="mb-3">
      <div className="flex flex-wrap items-end gap-3">
        <Field label="What is open" className="w-64">
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
        {job.bench.opened.map((one) => (
          <button
            key={one}
            type="button"
            className="btn btn-outline"
            onClick={() => post({ kind: "closed", stage: "make-safe", payload: { access: one } })}
          >
            Close the {one}
          </button>
        ))}
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
      <Problem text={problem} />
    </div>
  );
}
