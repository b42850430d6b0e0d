import { type ReactNode, useState } from "react";
import { hasRoom } from "./room";

interface FoldProps {
  readonly title: string;
  /** What it holds, said in its head line while it is folded. */
  readonly holds: string;
  /** Open at first on a screen with room for it. */
  readonly isOpenOnDesk?: boolean;
  readonly children: ReactNode;
}

/** A group of fields that folds to one line, which says what it holds. */
export function Fold({ title, holds, isOpenOnDesk = false, children }: FoldProps) {
  const [isOpen, setIsOpen] = useState(() => isOpenOnDesk && hasRoom());
  return (
    <section className="border-rule border-t" aria-label={title}>
      <h3>
        <button
          type="button"
          className="flex min-h-11 w-full items-center gap-3 text-left"
          aria-expanded={isOpen}
          onClick={() => setIsOpen(!isOpen)}
        >
          <span className="whitespace-nowrap font-semibold">{title}</span>
          <span className="min-w-0 flex-1 truncate text-soft">{isOpen ? "" : holds}</span>
          <span className="text-teal underline underline-offset-4" aria-hidden="true">
            {isOpen ? "fold" : "open"}
          </span>
        </button>
      </h3>
      {isOpen ? <div className="pb-3">{children}</div> : null}
    </section>
  );
}
