import { type ReactNode, useEffect, useState } from "react";
import type { QuantityId } from "@/core/quantity/reading";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/finding.input";
import { LEADS_FIELD } from "@/core/tools/leads";
import { textOf } from "@/drawing/typed";
import { TouchKeypad } from "../fields/Keypad";
import { Problem } from "../fields/Problem";
import { ReadingField } from "../fields/ReadingField";
import { FindingWords } from "./FindingWords";
import { FromMeter } from "./FromMeter";
import type { Pictures } from "./pictures";
import { MainFields, SideFields } from "./ToolFields";
import type { ToolSheetModel } from "./use-tool-sheet";

interface ReadingPartProps {
  readonly model: ToolSheetModel;
  /** Stands at the reading: whose it is. */
  readonly whose: string;
  /** Whether a meter is set up to read from. */
  readonly hasMeter?: boolean;
}

function Waiting({ model }: { readonly model: ToolSheetModel }) {
  const words = model.isBegun && model.missing ? model.missing : model.tool.waiting;
  return <p className={model.isBegun ? "font-semibold text-brass text-lg" : "text-lg text-soft"}>{words}</p>;
}

/** What the meter came to rest at goes into the field, and is kept by itself where nothing else is asked for. */
function SteadyReading({ model, quantity }: Pick<ReadingPartProps, "model"> & { quantity: QuantityId }) {
  const [steady, setSteady] = useState<string | undefined>(undefined);
  const isTyped = steady !== undefined && model.reading?.model.text === steady;
  const { tryKeep } = model;
  const isWhole = model.finding !== undefined;
  useEffect(() => {
    if (!isTyped) return;
    setSteady(undefined);
    if (isWhole) tryKeep();
  }, [isTyped, isWhole, tryKeep]);
  return (
    <FromMeter
      wanted={{ quantity }}
      onSteady={(typed) => {
        model.reading?.model.type(typed);
        setSteady(typed);
      }}
    />
  );
}

/** The reading with its verdict beside it at once, and the keys for fingers under both. */
export function ReadingPart({ model, whose, hasMeter = false }: ReadingPartProps) {
  const { reading } = model;
  const spec = reading && model.tool.fields[reading.id];
  const finding = model.isBegun ? model.finding : undefined;
  const verdict = finding ? <FindingWords finding={finding} /> : <Waiting model={model} />;
  if (!reading || spec?.kind !== "reading")
    return (
      <>
        <div className="my-3">{verdict}</div>
        <button type="button" className="btn btn-primary btn-bench" onClick={model.tryKeep}>
          Keep
        </button>
      </>
    );
  return (
    <>
      <div className="grid items-start gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <ReadingField
          id={`${model.tool.id}-${reading.id}`}
          testId="reading"
          label={spec.label}
          quantity={spec.quantity}
          model={reading.model}
          size="large"
          hasKeypad={false}
          whose={whose}
          onKeep={model.tryKeep}
        />
        <div className="sm:pt-7">
          {verdict}
          <LeadsOff model={model} />
        </div>
      </div>
      {hasMeter ? <SteadyReading model={model} quantity={spec.quantity} /> : null}
      <TouchKeypad
        quantity={spec.quantity}
        text={reading.model.text}
        onText={(text) => reading.model.type(text)}
        onKeep={model.tryKeep}
      />
    </>
  );
}

interface SheetProps extends ReadingPartProps {
  readonly pictures: Pictures;
  readonly shop: Shop;
  readonly title: string;
  readonly how: string;
  readonly kept: ReactNode;
  /** What the same reading was before, where that is known. */
  readonly earlier?: ReactNode;
  /** The finding last kept: drawn while nothing new is typed. */
  readonly lastFinding?: Finding | undefined;
  /** What stands between the reading and the log, such as the plug that is no longer known. */
  readonly gate: ReactNode;
}

/** What the tool works with is not what the meter showed, where the test leads are taken off. */
function LeadsOff({ model }: { readonly model: ToolSheetModel }) {
  const leads = textOf(model.draft, LEADS_FIELD).trim();
  if (leads === "" || !model.isBegun) return null;
  return (
    <p className="text-soft">Test leads of {leads} Ω are taken off: the meter itself shows so much more.</p>
  );
}

/** What takes long says how far it is, and can be ended. */
function Progress({ model }: { readonly model: ToolSheetModel }) {
  if (model.progress === undefined) return null;
  return (
    <p className="flex min-h-11 items-center gap-3 text-soft" role="status">
      <progress className="progress w-40" value={model.progress} max={1} aria-label="Worked out so far" />
      Working it out
      <button
        type="button"
        className="min-h-11 text-teal underline underline-offset-4"
        onClick={model.cancel}
      >
        stop
      </button>
    </p>
  );
}

/** The pictures of a sheet, drawn from what is typed, or else from the finding last kept. */
function picturesOf({ model, pictures, shop, lastFinding }: SheetProps) {
  const { Figure, Probes } = pictures;
  const finding = model.isBegun ? model.finding : lastFinding;
  const drawn = { draft: model.draft, finding, limits: shop.limits };
  return {
    figure: Figure ? <Figure {...drawn} /> : null,
    probes: Probes ? <Probes {...drawn} /> : null,
  };
}

/** The sheet of a tool that takes a table of leads: the verdict in one line above, table and map beside each other. */
function TableSheet(props: SheetProps) {
  const { model, shop, whose } = props;
  const { figure, probes } = picturesOf(props);
  return (
    <>
      <section aria-label="Verdict" className="move mb-4 px-5 py-4">
        <h1 className="font-semibold text-lg text-soft">{props.title}</h1>
        {model.isBegun && model.finding ? (
          <FindingWords finding={model.finding} />
        ) : (
          <Waiting model={model} />
        )}
        <LeadsOff model={model} />
        <Progress model={model} />
        {props.gate}
        <Problem text={model.problem} />
        {props.kept}
      </section>
      <div className="grid gap-x-8 gap-y-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <section aria-label="Reading">
          <p className="mb-3 text-soft">{props.how}</p>
          <MainFields model={model} shop={shop} />
          <button type="button" className="btn btn-primary btn-bench" onClick={model.tryKeep}>
            Keep
          </button>
          <p className="mt-1 mb-3 text-soft">{whose}</p>
          {props.earlier}
        </section>
        <section aria-label="What it stands on" className="grid content-start gap-4">
          {figure}
          <SideFields model={model} shop={shop} />
          {probes}
        </section>
      </div>
    </>
  );
}

/** The sheet of any tool. */
export function ToolSheet(props: SheetProps) {
  const isTable = Object.values(props.model.tool.fields).some(({ kind }) => kind === "pairs");
  return isTable ? <TableSheet {...props} /> : <ReadingSheet {...props} />;
}

/** The reading largest with its verdict, what it stands on beside it, its pictures where it has any. */
function ReadingSheet(props: SheetProps) {
  const { model, shop, whose } = props;
  const { figure, probes } = picturesOf(props);
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
      <section aria-label="Reading" className="move px-5 py-4">
        <h1 className="font-bold text-2xl leading-tight tracking-tight md:text-[30px]">{props.title}</h1>
        <p className="mt-1 mb-3 text-soft">{props.how}</p>
        {props.earlier}
        <MainFields model={model} shop={shop} />
        <ReadingPart model={model} whose={whose} hasMeter={shop.hasMeter} />
        {props.gate}
        <Problem text={model.problem} />
        {props.kept}
        {figure}
      </section>
      <section aria-label="What it stands on" className="grid content-start gap-4">
        <SideFields model={model} shop={shop} />
        {probes}
      </section>
    </div>
  );
}
