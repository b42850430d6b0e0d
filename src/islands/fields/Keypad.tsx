import { useSyncExternalStore } from "react";
import type { QuantityId } from "@/core/quantity/reading";

const COARSE = "(pointer: coarse)";

function subscribe(listener: () => void): () => void {
  const query = matchMedia(COARSE);
  query.addEventListener("change", listener);
  return () => query.removeEventListener("change", listener);
}

/** Whether fingers are what this screen is worked with. */
export function useTouch(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => matchMedia(COARSE).matches,
    () => false,
  );
}

const UNITS: Readonly<Record<QuantityId, readonly string[]>> = {
  capacitance: ["n", "μF"],
  resistance: ["Ω", "k", "M"],
  insulation: ["k", "MΩ", "G"],
  voltage: ["m", "V"],
  current: ["m", "A"],
  power: ["W", "k"],
  frequency: ["Hz"],
  temperature: ["°C"],
  speed: ["r/min"],
  time: ["s"],
  dissipation: ["%"],
  noise: ["dB"],
};

interface KeypadProps {
  readonly quantity: QuantityId;
  readonly text: string;
  onText(text: string): void;
  onKeep(): void;
}

/** The keypad, where the screen is worked with fingers. */
export function TouchKeypad(props: KeypadProps) {
  return useTouch() ? <Keypad {...props} /> : null;
}

/** Our own keys for fingers, since a tablet's keyboard hides half of the screen. */
function Keypad({ quantity, text, onText, onKeep }: KeypadProps) {
  const press = (key: string): void => onText(`${text}${key}`);
  const key = (label: string, act: () => void, look = "") => (
    <button
      key={label}
      type="button"
      className={`min-h-14 rounded-[3px] border-[1.5px] border-ring bg-sheet font-semibold text-xl ${look}`}
      onClick={act}
    >
      {label}
    </button>
  );
  const words =
    (label: string): (() => void) =>
    () =>
      onText(label);
  return (
    <fieldset className="grid grid-cols-4 gap-3 py-2" aria-label="Keypad">
      {["7", "8", "9"].map((digit) => key(digit, () => press(digit), "num"))}
      {key("Back", () => onText(text.slice(0, -1)))}
      {["4", "5", "6"].map((digit) => key(digit, () => press(digit), "num"))}
      {key("OL", words("OL"), "num")}
      {["1", "2", "3"].map((digit) => key(digit, () => press(digit), "num"))}
      {key("not taken", words("not taken"), "text-base leading-none")}
      {key("0", () => press("0"), "num")}
      {key(".", () => press("."), "num")}
      {UNITS[quantity].map((unit) => key(unit, () => press(unit)))}
      {key("Keep", onKeep, "col-span-4 bg-teal text-primary-content border-teal")}
    </fieldset>
  );
}
