import type { ReactNode } from "react";
import { limitOf } from "@/core/knowledge/resolve-limits";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Shop } from "@/core/shop/shop";
import { allowedBand } from "@/core/tools/capacitor/capacitor-against-mark";
import type { Finding } from "@/core/tools/tool";
import { TouchKeypad } from "../../fields/Keypad";
import { ReadingField } from "../../fields/ReadingField";
import { CapacitorBand } from "./CapacitorBand";
import { BleedChoice, CapacitorFields } from "./CapacitorFields";
import { FindingWords } from "./FindingWords";
import { ProbePicture } from "./ProbePicture";
import type { CapacitorSheetModel } from "./use-capacitor-sheet";

interface SheetProps {
  readonly model: CapacitorSheetModel;
  readonly shop: Shop;
  readonly title: string;
  /** Stands at the reading: whose it is. */
  readonly whose: string;
  readonly kept: ReactNode;
  /** The finding last kept: drawn while nothing new is typed. */
  readonly lastFinding?: Finding | undefined;
  /** What stands between the reading and the log, such as the plug that is no longer known. */
  readonly gate: ReactNode;
  onKeep(): void;
}

function band(model: CapacitorSheetModel, shop: Shop) {
  const parsed = parseCapacitorMark(model.draft.mark);
  if (!parsed.ok) return undefined;
  const role = model.role ?? (model.draft.role === "" ? parsed.value.role : model.draft.role);
  return allowedBand(parsed.value, role, shop.limits);
}

function Waiting({ model }: Pick<SheetProps, "model">) {
  const isTyped = model.draft.reading.trim() !== "";
  const words =
    isTyped && model.missing
      ? model.missing
      : "Hold the probes until the figure stands still, then swap them and read again.";
  return <p className={isTyped ? "font-semibold text-brass text-lg" : "text-lg text-soft"}>{words}</p>;
}

/** The capacitor sheet: marking and meter on the left, the reading largest, the verdict beside it at once. */
export function CapacitorSheet({ model, shop, title, whose, kept, gate, lastFinding, onKeep }: SheetProps) {
  const allowed = band(model, shop);
  const isTyped = model.draft.reading.trim() !== "";
  const finding = isTyped ? model.finding : undefined;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
      <section aria-label="Reading" className="move px-5 py-4">
        <h1 className="font-bold text-2xl leading-tight tracking-tight md:text-[30px]">{title}</h1>
        <p className="mt-1 mb-3 text-soft">
          One wire off, discharged and read below {limitOf(shop.limits, "safe-to-work-volts").value} V. Meter
          on microfarads.
        </p>
        <BleedChoice model={model} />
        <div className="grid items-start gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
          <ReadingField
            id="capacitance"
            testId="reading"
            label="Capacitance"
            quantity="capacitance"
            model={model.reading}
            size="large"
            hasKeypad={false}
            whose={whose}
            onKeep={onKeep}
          />
          <div className="sm:pt-7">
            {finding ? <FindingWords finding={finding} /> : <Waiting model={model} />}
          </div>
        </div>
        <TouchKeypad
          quantity="capacitance"
          text={model.reading.text}
          onText={(text) => model.reading.type(text)}
          onKeep={onKeep}
        />
        {gate}
        {kept}
        {allowed ? (
          <CapacitorBand
            min={allowed.min}
            max={allowed.max}
            measured={(isTyped ? finding : lastFinding)?.figures[0]}
          />
        ) : null}
      </section>
      <section aria-label="Marking and meter" className="grid content-start gap-4">
        <CapacitorFields model={model} shop={shop} />
        <ProbePicture bleedResistor={model.draft.bleedResistor} />
      </section>
    </div>
  );
}
