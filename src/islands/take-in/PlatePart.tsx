import { useRef, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import { meaningOfPlate } from "@/core/nameplate/as-typed";
import { parseNameplate } from "@/core/nameplate/type-line";
import type { Shop } from "@/core/shop/shop";
import { plateWords } from "@/words/nameplate";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Fold } from "../fields/Fold";
import { PictureField } from "../fields/PictureField";
import { pictureAddress } from "../state/send-picture";
import { type TakeInForm as Form, plateFields } from "./form";
import { Text } from "./Text";

interface PlateProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

const POWER_IS: readonly { readonly value: Form["powerIs"]; readonly label: string }[] = [
  { value: "not-said", label: "Not said" },
  { value: "input", label: "Taken in" },
  { value: "output", label: "At the shaft" },
  { value: "peak", label: "Peak" },
];

/** The line fills the fields as it is typed, so that nothing moves under the finger that taps on afterwards. */
function LineField({ form }: Pick<PlateProps, "form">) {
  const [typed, setTyped] = useState("");
  // What the fields held that the line has filled, in case it comes to say something else.
  const before = useRef<Partial<Form>>({});
  const line = parseNameplate(typed);
  const type = (text: string): void => {
    setTyped(text);
    const held = { ...form.getValues(), ...before.current };
    const said = parseNameplate(text).understood.length > 0 ? plateFields(text) : {};
    before.current = Object.fromEntries(Object.keys(said).map((field) => [field, held[field as keyof Form]]));
    form.reset({ ...held, ...said }, { keepDefaultValues: true });
  };
  const done = (): void => {
    before.current = {};
    setTyped("");
  };
  const hint =
    typed.trim() === ""
      ? "Whole or in part, such as 230 V 50 Hz 3.4 A 1/2 hp 1425 r/min."
      : line.understood.length === 0
        ? "Nothing of this reads as a plate yet: numbers need their units here."
        : `${line.understood.map(({ meaning }) => meaning).join(" · ")}.`;
  return (
    <Field label="The plate in one line" hint={hint}>
      {(ids) => (
        <input
          {...ids}
          className="input num"
          value={typed}
          autoComplete="off"
          onChange={(event) => type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            event.preventDefault();
            if (line.understood.length > 0) done();
          }}
        />
      )}
    </Field>
  );
}

function Pictures({ form }: Pick<PlateProps, "form">) {
  const pictures = form.watch("pictures");
  return (
    <div className="flex flex-wrap items-center gap-3">
      <PictureField
        label={pictures.length > 0 ? "Another picture" : "Picture of the plate"}
        onKept={(kept) =>
          form.setValue("pictures", [
            ...form.getValues("pictures"),
            { ...kept, of: pictures.length > 0 ? "outside" : "nameplate", words: "" },
          ])
        }
      />
      {pictures.map(({ sha256, of }) => (
        <img
          key={sha256}
          src={pictureAddress(sha256, "small")}
          alt={of === "nameplate" ? "The nameplate" : "The machine from outside"}
          className="h-20 rounded-[3px] border border-ring"
        />
      ))}
    </div>
  );
}

function Meaning({ form, shop }: PlateProps) {
  const [volts, hertz, amps, power, speed, powerIs] = form.watch([
    "volts",
    "hertz",
    "amps",
    "power",
    "speed",
    "powerIs",
  ]);
  const said = meaningOfPlate({ volts, hertz, amps, power, speed, powerIs }, shop.limits);
  if (said.length === 0) return null;
  return (
    <ul className="mt-2 border-rule border-l-4 pl-3" data-testid="plate-meaning">
      {said.map((one) => (
        <li key={one.code} className="py-0.5">
          {plateWords(one)}
        </li>
      ))}
    </ul>
  );
}

/** The nameplate: its picture first, then a line of it, then the fields; a worn plate is fine. */
export function PlatePart({ form, shop, isNew }: PlateProps & { readonly isNew: boolean }) {
  const rest = form
    .watch(["typeCode", "duty", "enclosure", "plateText"])
    .filter((one) => one !== "")
    .join(", ");
  return (
    <section aria-label="Nameplate">
      <h2 className="mb-2 font-bold text-lg">Nameplate</h2>
      {isNew ? <Pictures form={form} /> : null}
      <div className="mt-3">
        <LineField form={form} />
      </div>
      <div className="mt-3 grid grid-cols-3 gap-x-3 gap-y-3 sm:grid-cols-5 sm:gap-x-4">
        <Text form={form} name="volts" label="Volts" placeholder="230" isNumber />
        <Text form={form} name="hertz" label="Hertz" placeholder="50" isNumber />
        <Text form={form} name="amps" label="Amps" placeholder="3.4" isNumber />
        <Text form={form} name="power" label="Power" placeholder="1/2 hp" isNumber />
        <Text form={form} name="speed" label="r/min" placeholder="1425" isNumber />
      </div>
      <div className="mt-2">
        <Fold title="The rest of the plate" holds={rest} isOpenOnDesk={rest !== ""}>
          <div className="grid gap-3 sm:grid-cols-2">
            <Text form={form} name="typeCode" label="Type or serial" />
            <Text form={form} name="duty" label="Duty" placeholder="S2 20 min" />
            <Text form={form} name="enclosure" label="Enclosure" placeholder="IP44" />
            <Text form={form} name="plateText" label="Other words on it" />
          </div>
        </Fold>
      </div>
      {form.watch("power").trim() === "" ? null : (
        <div className="mt-3">
          <Choices
            legend="The power on it is"
            name="powerIs"
            choices={POWER_IS}
            value={form.watch("powerIs")}
            onChoose={(value) => form.setValue("powerIs", value)}
          />
        </div>
      )}
      <Meaning form={form} shop={shop} />
    </section>
  );
}
