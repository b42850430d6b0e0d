import { PlainFrame } from "../frame/PlainFrame";

interface ToolsProps {
  readonly tools: readonly { readonly id: string; readonly title: string; readonly about: string }[];
}

/** Tools that work without a job. */
export function ToolsScreen({ tools }: ToolsProps) {
  return (
    <PlainFrame path="/tools">
      <h1 className="font-bold text-[28px] leading-tight">Tools</h1>
      <p className="mt-1 text-lg text-soft">
        Each works on its own; a reading taken here can be put in a job later.
      </p>
      <ul className="mt-4">
        {tools.map(({ id, title, about }) => (
          <li key={id} className="border-rule border-t">
            <a
              href={`/tools/${id}`}
              className="flex min-h-16 flex-wrap items-center gap-x-6 py-2 hover:bg-sheet"
            >
              <b className="text-xl">{title}</b>
              <span className="num text-soft">{about}</span>
            </a>
          </li>
        ))}
      </ul>
      <p className="mt-6 border-rule border-t pt-4 text-lg">
        <a
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          href="/knowledge"
        >
          Knowledge
        </a>
        <span className="text-soft">
          : every move, fault and limit that the advice stands on, to be read and checked.
        </span>
      </p>
    </PlainFrame>
  );
}
