import { useState } from "react";
import type { Shop } from "@/core/shop/shop";
import { Problem } from "../fields/Problem";

interface SeenProps {
  readonly shop: Shop;
  readonly problem?: string | undefined;
  readonly isBusy: boolean;
  readonly done: string;
  onFixed(seen: Shop["seen"][number]): void;
}

/** A fault that anybody can see: chosen, mended, and straight to putting back. */
export function PlainlySeen({ shop, problem, isBusy, done, onFixed }: SeenProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [chosen, setChosen] = useState<string | undefined>(undefined);
  const seen = shop.seen.find(({ id }) => id === chosen);
  return (
    <section aria-label="Fault plainly seen" className={isOpen ? "order-first w-full" : ""}>
      <button
        type="button"
        className="btn btn-outline btn-bench"
        aria-expanded={isOpen}
        onClick={() => setIsOpen(!isOpen)}
      >
        Fault plainly seen …
      </button>
      {isOpen ? (
        <div className="mt-2 flex max-h-[45vh] flex-wrap gap-2 overflow-y-auto">
          {shop.seen.map(({ id, label }) => (
            <label className="chip" key={id}>
              <input
                className="sr-only"
                type="radio"
                name="seen"
                value={id}
                checked={chosen === id}
                onChange={() => setChosen(id)}
              />
              {label}
            </label>
          ))}
        </div>
      ) : null}
      {isOpen && seen ? (
        <button
          type="button"
          className="btn btn-primary btn-loud mt-3"
          disabled={isBusy}
          onClick={() => onFixed(seen)}
        >
          {done}
        </button>
      ) : null}
      <Problem text={problem} />
    </section>
  );
}
