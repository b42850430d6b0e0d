import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import { TouchKeypad, useTouch } from "./Keypad";
import { keepAndMoveOn } from "./move-on";
import type { ReadingFieldModel } from "./use-reading-field";

interface ReadingFieldProps {
  readonly label: string;
  readonly quantity: QuantityId;
  readonly model: ReadingFieldModel;
  readonly testId?: string;
  /** Stands inside the field, so that two machines are not confused. */
  readonly whose?: string;
  /** `large` for the reading that a screen is about. */
  readonly size?: "large" | "small";
  readonly id: string;
  onKeep(): unknown;
  /** False where the screen puts the keypad elsewhere. */
  readonly hasKeypad?: boolean;
}

/** A reading typed in one go with its unit; Enter keeps it. */
export function ReadingField({
  label,
  quantity,
  model,
  testId,
  whose,
  size = "small",
  id,
  onKeep,
  hasKeypad = true,
}: ReadingFieldProps) {
  const isTouch = useTouch();
  const isLarge = size === "large";
  const told = model.problem ?? model.said;
  return (
    <div>
      <label className="label-line" htmlFor={id}>
        {label}
      </label>
      <div
        className={`flex items-center gap-2 rounded-[3px] border-[2.5px] border-teal bg-paper px-4 ${isLarge ? "min-h-[68px]" : "min-h-12"}`}
      >
        <input
          id={id}
          data-figures=""
          data-testid={testId}
          className={`num w-full min-w-0 bg-transparent font-semibold focus:outline-none ${isLarge ? "text-4xl" : "text-2xl"}`}
          value={model.text}
          inputMode={isTouch ? "none" : "text"}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={model.problem ? true : undefined}
          aria-describedby={told ? `${id}-told` : undefined}
          onChange={(event) => model.type(event.target.value)}
          onBlur={() => model.leave()}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            event.preventDefault();
            void keepAndMoveOn(event.currentTarget, onKeep);
          }}
        />
        <span className="text-soft text-xl">
          {/[a-zA-ZμµΩ°]/.test(model.text) ? "" : QUANTITIES[quantity].bare.symbol}
        </span>
        <span className="hidden whitespace-nowrap text-soft sm:inline">
          <kbd className="key text-ink">Enter</kbd> keeps
        </span>
      </div>
      {whose ? <p className="mt-1 text-soft">{whose}</p> : null}
      {told ? (
        <p
          id={`${id}-told`}
          className={`mt-1 font-semibold ${model.problem ? "text-oxide" : "text-brass"}`}
          role={model.problem ? "alert" : "status"}
        >
          {told}
        </p>
      ) : null}
      {hasKeypad ? (
        <TouchKeypad
          quantity={quantity}
          text={model.text}
          onText={(text) => model.type(text)}
          onKeep={onKeep}
        />
      ) : null}
    </div>
  );
}
