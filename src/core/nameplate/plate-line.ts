import type { NameplateLine, PlateField } from "./type-line";

type Said = Readonly<Partial<Record<PlateField, string>>> & Pick<NameplateLine, "powerIs">;

/** In the order of most plates, each with the unit that is written where none was typed. */
const PIECES = [
  ["volts", "V"],
  ["hertz", "Hz"],
  ["amps", "A"],
  ["power", "W"],
  ["speed", "r/min"],
] as const;

const BEFORE: Readonly<Record<NameplateLine["powerIs"], string>> = {
  input: "P1 ",
  output: "P2 ",
  peak: "peak ",
  "not-said": "",
};

/**
 * A plate that was taken down field by field, as one line that `parseNameplate` reads again.
 * @example plateLine({ volts: "230", power: "1/2 hp", powerIs: "output" }) // "230 V P2 1/2 hp"
 */
export function plateLine(plate: Said): string {
  const pieces = PIECES.map(([name, unit]) => {
    const typed = (plate[name] ?? "").trim();
    if (typed === "") return "";
    const whole = /[a-z]/i.test(typed) ? typed : `${typed} ${unit}`;
    return name === "power" ? `${BEFORE[plate.powerIs]}${whole}` : whole;
  });
  return [...pieces, plate.duty ?? "", plate.enclosure ?? ""].filter((one) => one.trim() !== "").join(" ");
}
