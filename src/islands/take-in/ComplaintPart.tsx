import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Fold } from "../fields/Fold";
import { hasRoom } from "../fields/room";
import { useAnchored } from "../frame/anchor";
import type { TakeInForm as Form } from "./form";
import { Text } from "./Text";

interface PartProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

type Sign = Shop["signs"][number];

/** Said of its past, not of what it does. */
const SINCE: ReadonlySet<string> = new Set(["since-new"]);
/** So many things that it may do stand open, on a phone and elsewhere; the rarer ones are one tap away. */
const USUAL = { phone: 6, desk: 8 };

const CIRCUMSTANCES: readonly { readonly value: Form["circumstance"]; readonly label: string }[] = [
  { value: "always", label: "Always" },
  { value: "cold", label: "Cold" },
  { value: "hot", label: "Hot" },
  { value: "after-minutes", label: "After minutes" },
  { value: "loaded", label: "Under load" },
  { value: "wet", label: "Wet, or after rain" },
  { value: "sometimes", label: "Sometimes" },
  { value: "not-known", label: "Not known" },
];

function Signs({
  form,
  signs,
  legend,
}: { readonly signs: readonly Sign[]; readonly legend: string } & Pick<PartProps, "form">) {
  return (
    <fieldset>
      <legend className="sr-only">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {signs.map((sign) => (
          <label className="chip" key={sign.id}>
            <input className="sr-only" type="checkbox" value={sign.id} {...form.register("signs")} />
            {sign.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** What it does: the usual complaints at once, those that are ticked, and the others behind one tap. */
function Does({ form, signs }: { readonly signs: readonly Sign[] } & Pick<PartProps, "form">) {
  const [isAll, setIsAll] = useState(false);
  const [usual] = useState(() => (hasRoom() ? USUAL.desk : USUAL.phone));
  const ticked = form.watch("signs");
  const shown = signs.filter(({ id }, index) => isAll || index < usual || ticked.includes(id));
  return (
    <>
      <Signs form={form} signs={shown} legend="What it does" />
      {isAll ? null : (
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          onClick={() => setIsAll(true)}
        >
          Something else it does ({signs.length - shown.length})
        </button>
      )}
    </>
  );
}

function ticks(signs: readonly Sign[], ticked: readonly string[]): string {
  return signs
    .filter(({ id }) => ticked.includes(id))
    .map(({ label }) => label)
    .join(", ");
}

/** What must not go on is said at once. */
function Stops({ form, shop }: PartProps) {
  const ticked = form.watch("signs");
  return shop.signs
    .filter(({ id, stop }) => stop && ticked.includes(id))
    .map(({ id, label, stop }) => (
      <p key={id} role="alert" className="hatched my-2 border border-ink p-1.5">
        <span className="block bg-paper px-3 py-1.5 font-semibold">
          {label}: {stop}
        </span>
      </p>
    ));
}

function When({ form }: Pick<PartProps, "form">) {
  const circumstance = form.watch("circumstance");
  return (
    <div className="flex flex-wrap items-end gap-4">
      <Choices
        legend="When"
        isLegendHidden
        name="circumstance"
        choices={CIRCUMSTANCES}
        value={circumstance}
        onChoose={(value) => form.setValue("circumstance", value, { shouldDirty: true })}
      />
      {circumstance === "after-minutes" ? (
        <Text form={form} name="afterMinutes" label="Minutes" className="w-28" isNumber />
      ) : null}
    </div>
  );
}

function whenSaid(form: PartProps["form"]): string {
  const [circumstance, minutes] = form.watch(["circumstance", "afterMinutes"]);
  const label = CIRCUMSTANCES.find(({ value }) => value === circumstance)?.label ?? "";
  return circumstance === "after-minutes" && minutes ? `After ${minutes} minutes` : label;
}

/** The complaint in the order in which people tell it: what it does, when, what is heard and smelt, since when. */
export function ComplaintPart({ form, shop, isBack }: PartProps & { readonly isBack: boolean }) {
  const { ref } = useAnchored("complaint");
  const [ticked, history, earlierParts] = form.watch(["signs", "history", "earlierParts"]);
  const of = (...senses: readonly Sign["sense"][]): Sign[] =>
    shop.signs.filter(({ id, sense }) => senses.includes(sense) && !SINCE.has(id));
  const since = shop.signs.filter(({ id }) => SINCE.has(id));
  const sensed = of("heard", "smelt", "felt");
  return (
    <section ref={ref} aria-label="Complaint" id="complaint" className="scroll-mt-4">
      <h2 className="mb-2 font-bold text-lg">
        {isBack ? "It came back: what does it do now?" : "What it does"}
      </h2>
      <Stops form={form} shop={shop} />
      <Does form={form} signs={of("seen")} />
      <Fold title="When" holds={whenSaid(form)} isOpenOnDesk>
        <When form={form} />
      </Fold>
      <Fold title="Heard, smelt, felt" holds={ticks(sensed, ticked)} isOpenOnDesk>
        <Signs form={form} signs={sensed} legend="Heard, smelt, felt" />
      </Fold>
      <Fold
        title="Since when, and what was tried"
        holds={[ticks(since, ticked), history, earlierParts].filter((one) => one !== "").join(", ")}
      >
        <Signs form={form} signs={since} legend="Since when" />
        <Field
          label="Who has been inside before, what was tried"
          className="mt-3"
          error={form.formState.errors.history?.message}
        >
          {(ids) => <textarea {...ids} className="textarea" rows={2} {...form.register("history")} />}
        </Field>
        <Text form={form} name="earlierParts" label="Parts changed before" className="mt-3" />
      </Fold>
      <Field
        label="In the owner's words"
        className="border-rule border-t pt-2"
        error={form.formState.errors.words?.message}
      >
        {(ids) => (
          <textarea
            {...ids}
            className="textarea"
            rows={2}
            placeholder="As it is told, with since when"
            {...form.register("words")}
          />
        )}
      </Field>
    </section>
  );
}
