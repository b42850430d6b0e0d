import type { UseFormReturn } from "react-hook-form";
import { kindByName } from "@/core/job/door/machine-kind";
import { NOT_KNOWN } from "@/core/knowledge/machine-kind";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Fold } from "../fields/Fold";
import { type Before, HazardPart, UnknownName, WhyWithout } from "./DoorPart";
import type { TakeInForm as Form } from "./form";

interface PartProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
  readonly before: Before;
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

export function KindPart({ form, shop, before }: PartProps) {
  const family = shop.families.find(({ id }) => id === form.watch("family"));
  const kind = kindByName(form.watch("machine"), shop.archetypes);
  const usual = family?.id === NOT_KNOWN ? shop.families.find(({ id }) => id === kind?.family) : undefined;
  const ticked = form.watch("hazards");
  const hurts = shop.hazards
    .filter(({ id }) => ticked.includes(id))
    .map(({ label }) => label)
    .join(", ");
  return (
    <section aria-label="Kind of machine" className="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
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
      {usual && kind ? (
        <p className="-mt-2 flex flex-wrap items-center gap-3">
          <span className="text-soft">Usual ({inSentence(kind.label)}):</span>
          <button
            type="button"
            className="btn btn-outline"
            onClick={() => form.setValue("family", usual.id, { shouldDirty: true })}
          >
            {usual.label}
          </button>
        </p>
      ) : null}
      <Choices
        legend="Protection class"
        name="protectionClass"
        choices={CLASSES}
        value={form.watch("protectionClass")}
        onChoose={(value) => form.setValue("protectionClass", value, { shouldDirty: true })}
      />
      <Choices
        legend="Power comes by"
        name="connection"
        choices={CONNECTIONS}
        value={form.watch("connection")}
        onChoose={(value) => form.setValue("connection", value, { shouldDirty: true })}
      />
      <Choices
        legend="Has a heater"
        name="heater"
        choices={HEATERS}
        value={form.watch("heater")}
        onChoose={(value) => form.setValue("heater", value, { shouldDirty: true })}
      />
      <UnknownName form={form} shop={shop} />
      <WhyWithout form={form} shop={shop} before={before} />
      <Fold title="What else can hurt" holds={hurts} isOpenOnDesk>
        <HazardPart form={form} shop={shop} />
      </Fold>
    </section>
  );
}
