import { useState } from "react";
import { formatQuantity } from "@/core/quantity/format";
import { QUANTITIES } from "@/core/quantity/reading";
import type { PairsSpec } from "@/core/tools/field.input";
import { leadsOf, pairsOf, textOf } from "@/drawing/typed";
import { WIRE_COLOURS, wireFill } from "@/drawing/wire-colours";
import { Field } from "../fields/Field";
import { TouchKeypad, useTouch } from "../fields/Keypad";
import { FromMeter } from "./FromMeter";
import { isPair, type PairMarks, pairMarks } from "./pair-marks";
import type { ToolSheetModel } from "./use-tool-sheet";

interface PairsProps {
  readonly model: ToolSheetModel;
  readonly id: string;
  readonly field: PairsSpec<unknown>;
  readonly hasMeter: boolean;
}

interface Cell {
  readonly a: string;
  readonly b: string;
}

/** A short end of the wire itself beside its name. */
function Stub({ name }: { readonly name: string }) {
  const isColour = WIRE_COLOURS.some((one) => one.name === name);
  return (
    <svg width="26" height="12" aria-hidden="true" className="shrink-0">
      <rect
        x="0.75"
        y="0.75"
        width="24.5"
        height="10.5"
        className={isColour ? "stroke-ring" : "fill-steel stroke-ring"}
        fill={isColour ? wireFill(name) : undefined}
        strokeWidth="1.5"
      />
    </svg>
  );
}

function LeadNames({ model, id }: Pick<PairsProps, "model" | "id">) {
  const key = `${id}.leads`;
  const named = leadsOf(model.draft, id);
  const typed = textOf(model.draft, key);
  // Once ohms are typed, the names are known: the colours make room for the table.
  const isBegun = pairsOf(model.draft, id).length > 0;
  return (
    <div className="mb-3">
      <Field label="Leads, as they can be told apart" error={model.problemOf(key)}>
        {(ids) => (
          <input
            {...ids}
            className="input"
            data-testid={key}
            autoComplete="off"
            placeholder="red white black"
            value={typed}
            onChange={(event) => model.set({ [key]: event.target.value })}
          />
        )}
      </Field>
      <div className={isBegun ? "hidden" : "mt-1.5 flex flex-wrap gap-1.5"}>
        {WIRE_COLOURS.filter(({ name }) => !named.includes(name)).map(({ name }) => (
          <button
            key={name}
            type="button"
            className="chip gap-1.5"
            onClick={() => model.set({ [key]: `${typed.trim()} ${name}`.trim() })}
          >
            <Stub name={name} />
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}

interface CellProps extends Cell {
  readonly text: string;
  readonly marks: PairMarks;
  readonly problem: string | undefined;
  readonly inputId: string;
  readonly symbol: string;
  readonly isTouch: boolean;
  onText(text: string): void;
  onFocus(): void;
  onDone(): void;
}

/** One pair: what was read, largest where it is to be read next, dashed where it does not fit. */
function PairCell({
  a,
  b,
  text,
  marks,
  problem,
  inputId,
  symbol,
  isTouch,
  onText,
  onFocus,
  onDone,
}: CellProps) {
  const isNext = marks.next !== undefined && isPair(marks.next, a, b);
  const misfit = marks.misfit && isPair(marks.misfit, a, b) ? marks.misfit : undefined;
  const edge = misfit
    ? "border-2 border-oxide border-dashed"
    : isNext
      ? "border-[2.5px] border-teal"
      : "border border-ring";
  return (
    <td className="p-0.5 align-top">
      <div
        className={`flex flex-col justify-center bg-paper ${edge} ${isNext ? "min-h-[68px]" : "min-h-[60px]"}`}
      >
        <input
          id={inputId}
          data-figures=""
          data-testid={inputId}
          className={`num min-h-11 mx-auto w-[66px] bg-transparent text-center font-semibold sm:w-[84px] focus:outline-2 focus:outline-teal ${isNext ? "text-[22px]" : "text-lg"}`}
          aria-label={`${a} to ${b}`}
          aria-invalid={problem ? true : undefined}
          autoComplete="off"
          inputMode={isTouch ? "none" : "text"}
          placeholder={isNext ? "next" : symbol}
          value={text}
          onChange={(event) => onText(event.target.value)}
          onFocus={onFocus}
          onKeyDown={(event) => event.key === "Enter" && onDone()}
        />
        {misfit?.should === undefined ? null : (
          <span className="num pb-1 text-center font-semibold text-oxide text-sm">
            {formatQuantity(misfit.should, symbol).number} fits
          </span>
        )}
      </div>
    </td>
  );
}

function cellsOf(leads: readonly string[]): Cell[] {
  return leads.flatMap((b, row) => leads.slice(0, row).map((a) => ({ a, b })));
}

/** A table of leads: each pair once, as a triangle. Enter goes to the pair to be read next. */
export function PairsField({ model, id, field, hasMeter }: PairsProps) {
  const [active, setActive] = useState<Cell | undefined>(undefined);
  const isTouch = useTouch();
  const leads = leadsOf(model.draft, id);
  const kept = pairsOf(model.draft, id);
  const marks = pairMarks(model.isBegun ? model.finding : undefined);
  const { symbol } = QUANTITIES[field.quantity].bare;
  const textAt = ({ a, b }: Cell): string => kept.find((one) => isPair(one, a, b))?.reading ?? "";
  const change = (cell: Cell, reading: string): void => {
    const others = kept.filter((one) => !isPair(one, cell.a, cell.b));
    model.set({ [id]: reading === "" ? others : [...others, { ...cell, reading }] });
  };
  const inputId = ({ a, b }: Cell): string => `${id}-${a}-${b}`;
  /** The pair to be read next, or else any that was not read. */
  const nextEmpty = (from: Cell): HTMLElement | null => {
    const cells = cellsOf(leads);
    const empty = cells.filter((cell) => !isPair(cell, from.a, from.b) && textAt(cell).trim() === "");
    const next = empty.find(({ a, b }) => marks.next && isPair(marks.next, a, b)) ?? empty[0];
    return next ? document.getElementById(inputId(next)) : null;
  };
  const goOn = (from: Cell): void => {
    const next = nextEmpty(from);
    if (next) next.focus();
    else model.tryKeep();
  };
  const problems = cellsOf(leads).flatMap((cell) => {
    const index =
      model.input[id] === undefined
        ? -1
        : kept.filter(({ reading }) => reading.trim() !== "").findIndex((one) => isPair(one, cell.a, cell.b));
    const problem = index < 0 ? undefined : model.problemOf(`${id}.pairs.${index}`);
    return problem === undefined ? [] : [{ cell, problem }];
  });
  return (
    <fieldset className="min-w-0">
      <legend className="sr-only">{field.label}</legend>
      <LeadNames model={model} id={id} />
      {leads.length < 2 ? null : (
        <div className="overflow-x-auto">
          <p className="label-line">{field.label}</p>
          <table className="border-separate border-spacing-0" aria-label={field.label}>
            <tbody>
              {leads.slice(1).map((b, row) => (
                <tr key={b}>
                  <th scope="row" className="pr-2 text-right align-middle font-semibold">
                    <span className="flex items-center justify-end gap-1.5">
                      <Stub name={b} />
                      {b}
                    </span>
                  </th>
                  {leads.slice(0, row + 1).map((a) => (
                    <PairCell
                      key={a}
                      a={a}
                      b={b}
                      text={textAt({ a, b })}
                      marks={marks}
                      problem={problems.find(({ cell }) => isPair(cell, a, b))?.problem}
                      inputId={inputId({ a, b })}
                      symbol={symbol}
                      isTouch={isTouch}
                      onText={(text) => change({ a, b }, text)}
                      onFocus={() => setActive({ a, b })}
                      onDone={() => goOn({ a, b })}
                    />
                  ))}
                </tr>
              ))}
              <tr>
                <td />
                {leads.slice(0, -1).map((a) => (
                  <th key={a} scope="col" className="p-1 font-semibold text-soft">
                    <span className="flex flex-col items-center gap-0.5">
                      <Stub name={a} />
                      {a}
                    </span>
                  </th>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
      {problems.map(({ cell, problem }) => (
        <p key={inputId(cell)} role="alert" className="mt-1 font-semibold text-oxide">
          {problem}
        </p>
      ))}
      {hasMeter && active && leads.includes(active.a) && leads.includes(active.b) ? (
        <FromMeter
          wanted={{ quantity: field.quantity, ...active }}
          about={`${active.a} to ${active.b}`}
          onSteady={(typed) => {
            change(active, typed);
            nextEmpty(active)?.focus();
          }}
        />
      ) : null}
      {active && leads.includes(active.a) && leads.includes(active.b) ? (
        <TouchKeypad
          quantity={field.quantity}
          text={textAt(active)}
          onText={(text) => change(active, text)}
          onKeep={() => goOn(active)}
        />
      ) : null}
    </fieldset>
  );
}
