import type { Removed } from "@/core/job/entry";
import type { JobView } from "@/core/job/reduce";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

const SORTS: readonly { readonly value: Removed["sort"]; readonly label: string }[] = [
  { value: "cover", label: "Cover" },
  { value: "fastener", label: "Screws" },
  { value: "connector", label: "Connector" },
  { value: "wire", label: "Wire" },
  { value: "part", label: "Part" },
  { value: "seal", label: "Seal or washer" },
];

interface Draft {
  readonly sort: Removed["sort"];
  readonly what: string;
  readonly count: string;
  readonly where: string;
}

const EMPTY: Draft = { sort: "fastener", what: "", count: "1", where: "" };

/** One line for each thing as it comes off. */
export function TookOff({ job }: { readonly job: JobView }) {
  const [draft, setDraft, clear] = useDraft<Draft>(`took-off:${job.jobId}`, EMPTY);
  const { post, problem, isBusy } = usePost(job.jobId);
  const set = (change: Partial<Draft>): void => setDraft({ ...draft, ...change });
  const keep = async (): Promise<void> => {
    const count = Number(draft.count);
    const payload = { sort: draft.sort, what: draft.what, count, where: draft.where };
    if (await post({ kind: "removed", stage: "put-back", payload })) clear();
  };
  return (
    <form
      aria-label="Something came off"
      className="sheet content-start self-start px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Choices<Removed["sort"]>
        legend="Something came off"
        name="sort"
        choices={SORTS}
        value={draft.sort}
        onChoose={(sort) => set({ sort })}
      />
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)_90px] gap-3">
        <Field label="What">
          {(ids) => (
            <input
              {...ids}
              className="input"
              value={draft.what}
              placeholder="hump screw, cross drive"
              onChange={(event) => set({ what: event.target.value })}
            />
          )}
        </Field>
        <Field label="How many">
          {(ids) => (
            <input
              {...ids}
              className="input num"
              inputMode="numeric"
              value={draft.count}
              onChange={(event) => set({ count: event.target.value })}
            />
          )}
        </Field>
        <Field label="Where it lies, or its terminal" className="col-span-2">
          {(ids) => (
            <input
              {...ids}
              className="input"
              value={draft.where}
              placeholder="tray 2"
              onChange={(event) => set({ where: event.target.value })}
            />
          )}
        </Field>
      </div>
      <button type="submit" className="btn btn-outline mt-3" disabled={isBusy}>
        It came off
      </button>
      <Problem text={problem} />
    </form>
  );
}
