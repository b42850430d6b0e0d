import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import type { TakeInForm as Form } from "./form";

interface SeenProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

/** A fault that anybody can see: chosen here and kept with what is taken in; it is mended later, after Make safe. */
export function PlainlySeen({ form, shop }: SeenProps) {
  const [isOpen, setIsOpen] = useState(false);
  const chosen = shop.seen.find(({ id }) => id === form.watch("seen"));
  return (
    <section aria-label="Fault plainly seen" className={isOpen ? "order-first w-full" : ""}>
      <button
        type="button"
        className="btn btn-outline btn-bench px-3 md:px-4"
        aria-expanded={isOpen}
        onClick={() => setIsOpen(!isOpen)}
      >
        {chosen ? `Seen: ${inSentence(chosen.label)}` : "Fault plainly seen …"}
      </button>
      {isOpen ? (
        <div className="mt-2 flex max-h-[45vh] flex-wrap gap-2 overflow-y-auto">
          {[{ id: "", label: "None" }, ...shop.seen].map(({ id, label }) => (
            <button
              key={id}
              type="button"
              className="chip"
              aria-pressed={form.watch("seen") === id}
              onClick={() => {
                form.setValue("seen", id, { shouldDirty: true });
                setIsOpen(false);
              }}
            >
              {label}
            </button>
          ))}
        </div>
      ) : null}
    </section>
  );
}
