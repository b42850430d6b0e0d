import type { UseFormReturn } from "react-hook-form";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { HazardPart } from "./DoorPart";
import { Earlier } from "./Earlier";
import type { TakeInForm as Form } from "./form";
import { Text } from "./Text";

interface PartProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

export function MachinePart({ form, shop, isNew }: PartProps & { readonly isNew: boolean }) {
  return (
    <section className="grid gap-x-4 gap-y-3 sm:grid-cols-2" aria-label="Machine and owner">
      <Text
        form={form}
        name="machine"
        label="Machine"
        placeholder="Honey extractor"
        className="sm:col-span-2"
      />
      {isNew ? (
        <div className="sm:col-span-2">
          <Earlier form={form} shop={shop} />
        </div>
      ) : null}
      <Text form={form} name="tag" label="Tag hung on it" hint="Beside the job number." />
      <Text form={form} name="place" label="Stands at" placeholder="left bench" />
      {isNew ? <Text form={form} name="ownerName" label="Owner" /> : null}
      {isNew ? (
        <Text form={form} name="ownerContact" label="Reached by" placeholder="message, evenings" />
      ) : null}
      <Text form={form} name="ceiling" label={`Ring the owner above, ${shop.settings.currency}`} isNumber />
    </section>
  );
}

const SENSES = [
  { sense: "seen", label: "Seen" },
  { sense: "heard", label: "Heard" },
  { sense: "smelt", label: "Smelt" },
  { sense: "felt", label: "Felt" },
] as const;

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

export function ComplaintPart({ form, shop }: PartProps) {
  const signs = form.watch("signs");
  const circumstance = form.watch("circumstance");
  const stops = shop.signs.filter(({ id, stop }) => stop && signs.includes(id));
  return (
    <section aria-label="Complaint" id="complaint">
      <h2 className="mb-2 font-bold text-lg">What it does</h2>
      {stops.map(({ id, label, stop }) => (
        <p key={id} role="alert" className="hatched my-2 border border-ink p-1.5">
          <span className="block bg-paper px-3 py-1.5 font-semibold">
            {label}: {stop}
          </span>
        </p>
      ))}
      {SENSES.map(({ sense, label }) => (
        <fieldset key={sense} className="mb-2 md:grid md:grid-cols-[64px_1fr]">
          <legend className="float-left pt-2.5 font-semibold text-soft md:w-16">{label}</legend>
          <div className="flex flex-wrap gap-2">
            {shop.signs
              .filter((sign) => sign.sense === sense)
              .map((sign) => (
                <label className="chip" key={sign.id}>
                  <input className="sr-only" type="checkbox" value={sign.id} {...form.register("signs")} />
                  {sign.label}
                </label>
              ))}
          </div>
        </fieldset>
      ))}
      <div className="mt-3 flex flex-wrap items-end gap-4">
        <Choices
          legend="When"
          name="circumstance"
          choices={CIRCUMSTANCES}
          value={circumstance}
          onChoose={(value) => form.setValue("circumstance", value)}
        />
        {circumstance === "after-minutes" ? (
          <Text form={form} name="afterMinutes" label="Minutes" className="w-28" isNumber />
        ) : null}
      </div>
      <Field label="In the owner's words" className="mt-3" error={form.formState.errors.words?.message}>
        {(ids) => <textarea {...ids} className="textarea" rows={2} {...form.register("words")} />}
      </Field>
    </section>
  );
}

const CLASSES: readonly { readonly value: Form["protectionClass"]; readonly label: string }[] = [
  { value: "class-1", label: "I, earthed" },
  { value: "class-2", label: "II, double insulated" },
  { value: "class-3", label: "III, low voltage" },
  { value: "battery", label: "Battery" },
  { value: "not-known", label: "Not known" },
];
const CONNECTIONS: readonly { readonly value: Form["connection"]; readonly label: string }[] = [
  { value: "plug", label: "Cord and plug" },
  { value: "detachable-cord", label: "Cord comes off" },
  { value: "fixed", label: "Wired in" },
  { value: "battery", label: "Battery" },
  { value: "not-known", label: "Not known" },
];
const HEATERS: readonly { readonly value: Form["heater"]; readonly label: string }[] = [
  { value: "no", label: "No" },
  { value: "yes", label: "Yes" },
  { value: "not-known", label: "Not known" },
];

export function KindPart({ form, shop }: PartProps) {
  const family = shop.families.find(({ id }) => id === form.watch("family"));
  return (
    <section aria-label="Kind of machine" className="grid content-start gap-4">
      <Field label="Kind of motor" hint={family?.clue} error={form.formState.errors.family?.message}>
        {(ids) => (
          <select {...ids} className="select" {...form.register("family")}>
            {shop.families.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Choices
        legend="Protection class"
        name="protectionClass"
        choices={CLASSES}
        value={form.watch("protectionClass")}
        onChoose={(value) => form.setValue("protectionClass", value)}
      />
      <Choices
        legend="Power comes by"
        name="connection"
        choices={CONNECTIONS}
        value={form.watch("connection")}
        onChoose={(value) => form.setValue("connection", value)}
      />
      <Choices
        legend="Has a heater"
        name="heater"
        choices={HEATERS}
        value={form.watch("heater")}
        onChoose={(value) => form.setValue("heater", value)}
      />
      <HazardPart form={form} shop={shop} />
    </section>
  );
}
