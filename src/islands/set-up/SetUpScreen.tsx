import { type ComponentProps, useState } from "react";
import type { Knowledge } from "@/core/knowledge/types";
import type { StoredSettings } from "@/wire/shop";
import { DISCHARGE_CHOICES } from "@/words/schools";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { PlainFrame } from "../frame/PlainFrame";
import { useAwake } from "../state/awake";
import { benchName, setBenchName } from "../state/person";
import { Access, type AccessProps } from "./Access";
import { Backups, type BackupsProps } from "./Backups";
import { Calendar } from "./Calendar";
import { Counts } from "./Counts";
import { Instruments } from "./Instruments";
import { Substitution } from "./Substitution";
import { type SetUpDraft, useSetUp } from "./use-set-up";

interface SetUpProps {
  readonly stored: StoredSettings;
  readonly backup: BackupsProps;
  /** Settings that could not be read. */
  readonly unreadable: readonly string[];
  readonly regions: Knowledge["regions"];
  readonly kit: Knowledge["kit"];
  readonly counts: ComponentProps<typeof Counts>["counts"];
  readonly names: ComponentProps<typeof Counts>["names"];
  readonly access: AccessProps["access"];
}

type Model = ReturnType<typeof useSetUp>;

function Text({
  model,
  name,
  label,
  list,
  className = "",
}: {
  readonly model: Model;
  readonly name:
    | "shopName"
    | "address"
    | "telephone"
    | "volts"
    | "hertz"
    | "zone"
    | "currency"
    | "labourRate"
    | "partsMarkupPercent"
    | "taxPercent"
    | "leadOhms"
    | "residualOutlet";
  readonly label: string;
  readonly list?: string;
  readonly className?: string;
}) {
  return (
    <Field label={label} error={model.problemOf(name)} className={className}>
      {(ids) => (
        <input
          {...ids}
          className="input"
          list={list}
          autoComplete="off"
          value={model.draft[name]}
          onChange={(event) => model.set({ [name]: event.target.value } as Partial<SetUpDraft>)}
        />
      )}
    </Field>
  );
}

function Region({ model, regions }: { readonly model: Model; readonly regions: SetUpProps["regions"] }) {
  const region = regions.find(({ id }) => id === model.draft.region);
  const choose = (id: string): void => {
    const next = regions.find((one) => one.id === id);
    model.set({ region: id, ...(next ? { volts: String(next.volts), hertz: String(next.hertz) } : {}) });
  };
  return (
    <Field
      label="Region"
      hint={
        region
          ? `Leads: line ${region.leads.line}, neutral ${region.leads.neutral}, earth ${region.leads.earth}.`
          : undefined
      }
      className="sm:col-span-2"
    >
      {(ids) => (
        <select
          {...ids}
          className="select"
          value={model.draft.region}
          onChange={(event) => choose(event.target.value)}
        >
          {regions.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

function ThisDevice() {
  const [name, setName] = useState(benchName);
  return (
    <Field label="Name of this device's bench" hint="Stands beside every line kept from here.">
      {(ids) => (
        <input
          {...ids}
          className="input"
          value={name}
          onChange={(event) => {
            setName(event.target.value);
            if (event.target.value.trim() !== "") setBenchName(event.target.value);
          }}
        />
      )}
    </Field>
  );
}

function Kit({ model, kit }: { readonly model: Model; readonly kit: SetUpProps["kit"] }) {
  const toggle = (id: string): void => {
    const has = model.draft.kit.includes(id);
    model.set({ kit: has ? model.draft.kit.filter((one) => one !== id) : [...model.draft.kit, id] });
  };
  return (
    <fieldset>
      <legend className="font-bold text-lg">What else is at hand</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {kit.map(({ id, label }) => (
          <label className="chip" key={id}>
            <input
              className="sr-only"
              type="checkbox"
              checked={model.draft.kit.includes(id)}
              onChange={() => toggle(id)}
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function SetUpForm(props: SetUpProps) {
  const { stored, regions, kit, access } = props;
  const model = useSetUp(stored);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void model.keep();
      }}
    >
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
        <section aria-label="Shop" className="grid content-start gap-x-4 gap-y-3 sm:grid-cols-2">
          <Text model={model} name="shopName" label="Name of the shop" className="sm:col-span-2" />
          <Text model={model} name="address" label="Address, for the owner's sheet" />
          <Text model={model} name="telephone" label="Telephone, for the owner's sheet" />
          <Region model={model} regions={regions} />
          <Text model={model} name="volts" label="Supply volts" />
          <Text model={model} name="hertz" label="Supply hertz" />
          <Text model={model} name="zone" label="Time zone" list="zones" />
          <Text model={model} name="currency" label="Currency" list="currencies" />
          <Text model={model} name="labourRate" label={`Labour an hour, ${model.draft.currency}`} />
          <Text model={model} name="partsMarkupPercent" label="Mark-up on parts, percent" />
          <Text model={model} name="taxPercent" label="Tax on the whole, percent" />
          <Text model={model} name="leadOhms" label="Test leads, touched together, Ω" />
          <div className="sm:col-span-2">
            <Text model={model} name="residualOutlet" label="Outlet behind an RCD (GFCI), as you call it" />
            <p className="mt-1 text-soft">
              No machine is run or measured live here without one: a plug-in adapter does. Try its test button
              each month.
            </p>
          </div>
        </section>
        <section aria-label="Ways of working" className="grid content-start gap-4">
          <Choices
            legend="Draining a capacitor"
            name="school"
            choices={DISCHARGE_CHOICES}
            value={model.draft.dischargeSchool}
            onChoose={(dischargeSchool) => model.set({ dischargeSchool })}
          />
          <p className="text-soft">
            The first is the default: the fall is seen, the terminals are not pitted, and the short at the end
            is the last assurance. A short as the first step is only allowed for a part that holds little.
          </p>
          <Substitution
            chosen={model.draft.substitution}
            onChange={(substitution) => model.set({ substitution })}
          />
          <Counts
            counts={props.counts}
            names={props.names}
            isOn={model.draft.usesCounts}
            onChange={(usesCounts) => model.set({ usesCounts })}
          />
          <Backups backup={props.backup} zone={stored.value.zone} />
          <Calendar
            calendarKey={model.draft.calendarKey}
            onKey={(calendarKey) => model.set({ calendarKey })}
          />
          <ThisDevice />
          <h2 className="font-bold text-lg">Access</h2>
          <Access access={access} zone={stored.value.zone} />
        </section>
      </div>
      <div className="mt-6 grid gap-5">
        <Instruments
          rows={model.draft.instruments}
          problemOf={model.problemOf}
          onRows={(instruments) => model.set({ instruments })}
        />
        <Kit model={model} kit={kit} />
      </div>
      <datalist id="zones">
        {Intl.supportedValuesOf("timeZone").map((zone) => (
          <option key={zone}>{zone}</option>
        ))}
      </datalist>
      <datalist id="currencies">
        {Intl.supportedValuesOf("currency").map((currency) => (
          <option key={currency}>{currency}</option>
        ))}
      </datalist>
      <div className="sticky bottom-0 z-10 mt-4 flex flex-wrap items-center gap-4 border-rule border-t bg-paper py-3">
        <button type="submit" className="btn btn-primary btn-loud">
          Keep
        </button>
        {model.told ? (
          <p
            role={model.told.isBad ? "alert" : "status"}
            className={model.told.isBad ? "font-semibold text-oxide" : "text-soft"}
          >
            {model.told.text}
          </p>
        ) : null}
      </div>
    </form>
  );
}

/** Set-up: where the shop is, what it owns, how it works. */
export function SetUpScreen(props: SetUpProps) {
  const isAwake = useAwake();
  return (
    <PlainFrame path="/set-up">
      <h1 className="mb-3 font-bold text-[28px] leading-tight">Set-up</h1>
      {props.unreadable.length > 0 ? (
        <p role="alert" className="mb-3 max-w-3xl font-semibold text-oxide">
          Could not be read and stand at what ships with the program: {props.unreadable.join(", ")}. Look them
          over and keep them again.
        </p>
      ) : null}
      {isAwake ? <SetUpForm {...props} /> : null}
    </PlainFrame>
  );
}
