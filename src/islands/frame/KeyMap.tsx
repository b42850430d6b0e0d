import { useEffect, useRef } from "react";
import { onKey } from "./keys";

const EVERYWHERE: readonly (readonly [string, string])[] = [
  ["/", "Type what the part says"],
  ["?", "This list"],
  ["Enter", "Keeps what is typed"],
];
const IN_A_JOB: readonly (readonly [string, string])[] = [
  ["g", "Go on: the next step at the foot of the screen"],
  ["u", "Undo, while it is offered"],
  ["n", "A note"],
  ["Space, arrows", "On a handle: move a line up or down"],
  ["arrows", "On a picture: move the pin"],
];

function Rows({ rows }: { readonly rows: readonly (readonly [string, string])[] }) {
  return rows.map(([key, words]) => (
    <div key={key} className="contents">
      <dt>
        <kbd className="key whitespace-nowrap">{key}</kbd>
      </dt>
      <dd>{words}</dd>
    </div>
  ));
}

/** The keys of this program, shown by `?`; here also the ones that work on every screen. */
export function KeyMap({ jobId }: { readonly jobId?: number | undefined }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const stops = [onKey("?", () => dialog.current?.showModal())];
    return () => {
      for (const stop of stops) stop();
    };
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-label="Keys"
      className="m-auto w-[min(92vw,560px)] border-2 border-ink bg-paper p-5 text-ink backdrop:bg-black/40"
    >
      <h2 className="mb-3 font-bold text-xl">Keys</h2>
      <dl className="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-5 gap-y-2">
        <Rows rows={jobId === undefined ? EVERYWHERE : [...EVERYWHERE, ...IN_A_JOB]} />
      </dl>
      {jobId === undefined ? null : (
        <p className="mt-3 text-soft">Letters do nothing while a screen asks for a figure.</p>
      )}
      <form method="dialog" className="mt-4">
        <button type="submit" className="btn btn-primary">
          Close
        </button>
      </form>
    </dialog>
  );
}
