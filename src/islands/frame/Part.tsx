import type { ReactNode } from "react";
import { useAnchored } from "./anchor";
import { VerdictMark } from "./VerdictMark";

interface PartProps {
  readonly title: string;
  /** Its anchor in the page's address. */
  readonly at?: string;
  readonly isNow: boolean;
  readonly isDone: boolean;
  readonly done: string;
  /** Its mark once it is done, where that is not "measured and good": a tick for a word, a notch for a failure. */
  readonly mark?: "passed" | "ticked" | "failed";
  readonly children: ReactNode;
}

/** One part of a screen: large while it is the thing to do, one line once it is done. */
export function Part({ title, at, isNow, isDone, done, mark = "passed", children }: PartProps) {
  const { ref, isOpen, setIsOpen } = useAnchored(at);
  const isShown = isNow || isOpen;
  return (
    <section
      ref={ref}
      aria-label={title}
      className={`scroll-mt-4 ${isNow ? "move mb-3 px-5 py-4" : "sheet mb-3 px-5 py-1"}`}
    >
      <div className="flex min-h-11 flex-wrap items-center gap-3">
        <VerdictMark shape={isDone ? mark : "not-known"} />
        <h2
          className={isNow ? "font-bold text-[30px] leading-tight tracking-tight" : "font-semibold text-lg"}
        >
          {title}
        </h2>
        {isDone ? <span className="text-soft">{done}</span> : null}
        {isNow ? null : (
          <button
            type="button"
            className="ml-auto min-h-11 text-teal underline underline-offset-4"
            aria-expanded={isOpen}
            onClick={() => setIsOpen(!isOpen)}
          >
            {isOpen ? "fold" : isDone ? "change" : "look"}
          </button>
        )}
      </div>
      {isShown ? <div className="pt-2 pb-2">{children}</div> : null}
    </section>
  );
}
