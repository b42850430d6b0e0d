import type { UseFormReturn } from "react-hook-form";
import { hazardsLost } from "@/core/job/door/hazards-lost";
import { kindByName } from "@/core/job/door/machine-kind";
import { recallsFor } from "@/core/job/door/recall";
import type { TakenIn } from "@/core/job/log/entry";
import { openQuestions } from "@/core/safety/kind-questions";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { Choices } from "../fields/Choices";
import { KindAnswers } from "../fields/KindAnswers";
import type { TakeInForm as Form } from "./form";
import { Text } from "./Text";

interface DoorProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

const RECALL: readonly { readonly value: Form["recall"]; readonly label: string }[] = [
  { value: "not-looked", label: "Not looked up" },
  { value: "nothing-found", label: "Nothing found" },
  { value: "recalled", label: "It is recalled" },
];

/** The machine as it was kept, on this visit or the one before; null for one that was not here. */
export type Before = Pick<TakenIn, "machine" | "hazards" | "heater"> | null;

/** What was said or known of it before and is not any more is taken back with a reason. */
export function WhyWithout({ form, shop, before }: DoorProps & { readonly before: Before }) {
  const [machine, hazards, heater] = form.watch(["machine", "hazards", "heater"]);
  const lost = before ? hazardsLost(before, { machine, hazards, heater }, shop.archetypes) : [];
  if (lost.length === 0) return null;
  const named = shop.hazards.filter(({ id }) => lost.includes(id)).map(({ label }) => inSentence(label));
  return (
    <Text form={form} name="whyWithout" label={`Before, it had ${named.join(", ")}: why has it none now?`} />
  );
}

/** Of a machine whose name is not known three things are asked; left open here, they are asked before hands go in. */
export function UnknownName({ form, shop }: DoorProps) {
  const [machine, hazards, hasNone] = form.watch(["machine", "hazards", "hasNone"]);
  if (machine.trim() === "" || kindByName(machine, shop.archetypes)) return null;
  const open = openQuestions(hazards, hasNone);
  if (open.length === 0) return null;
  return (
    <div className="grid gap-2">
      <p className="text-soft">This name is not known here. Has it:</p>
      <KindAnswers
        questions={open}
        onSay={({ id }, hazard) =>
          hazard === undefined
            ? form.setValue("hasNone", [...hasNone, id], { shouldDirty: true })
            : form.setValue("hazards", [...hazards, hazard], { shouldDirty: true })
        }
      />
    </div>
  );
}

/** What its kind brings by itself, and what was said at the door. */
export function HazardPart({ form, shop }: DoorProps) {
  const known = kindByName(form.watch("machine"), shop.archetypes)?.hazards ?? [];
  return (
    <fieldset>
      <legend className="sr-only">What else can hurt</legend>
      <div className="flex flex-wrap gap-2">
        {shop.hazards
          .filter(({ asked }) => asked)
          .map(({ id, label }) =>
            known.includes(id) ? (
              <span key={id} className="chip cursor-default border-dashed">
                {label}, of its kind
              </span>
            ) : (
              <label className="chip" key={id}>
                <input className="sr-only" type="checkbox" value={id} {...form.register("hazards")} />
                {label}
              </label>
            ),
          )}
      </div>
    </fieldset>
  );
}

/** Recall notices that the shop keeps, and what was looked up elsewhere. */
function Recall({ form, shop }: DoorProps) {
  const [machine, typeCode, plateText] = form.watch(["machine", "typeCode", "plateText"]);
  const found = recallsFor(`${machine} ${typeCode} ${plateText}`, shop.recalls);
  return (
    <div>
      {found.map(({ id, label, notice }) => (
        <p key={id} role="alert" className="hatched mb-2 border border-ink p-1.5">
          <span className="block bg-paper px-3 py-1.5">
            <b>{label}.</b> {notice}
          </span>
        </p>
      ))}
      <Choices
        legend="Recall looked up"
        name="recall"
        choices={RECALL}
        value={form.watch("recall")}
        onChoose={(value) => form.setValue("recall", value, { shouldDirty: true })}
      />
      {form.watch("recall") === "not-looked" ? null : (
        <Text form={form} name="recallWhere" label="Where it was looked up" className="mt-2" />
      )}
    </div>
  );
}

/** Money said at the door, and whether it was called back. */
export function MoneyPart({ form, shop }: DoorProps) {
  const { currency } = shop.settings;
  return (
    <div className="grid gap-3 pt-3">
      <div className="grid gap-3 sm:grid-cols-3">
        <Text form={form} name="ceiling" label={`Ring the owner above, ${currency}`} isNumber />
        <Text form={form} name="fee" label={`Fee for looking, ${currency}`} isNumber />
        <Text form={form} name="deposit" label={`Deposit for parts, ${currency}`} isNumber />
      </div>
      <label className="chip w-fit">
        <input type="checkbox" className="sr-only" {...form.register("feeCounts")} />
        The fee is set off against the repair
      </label>
      <Recall form={form} shop={shop} />
    </div>
  );
}
