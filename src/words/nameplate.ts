import type { PlateMeaning } from "@/core/nameplate/meaning";
import { formatPercent, formatText } from "@/core/quantity/format";

type Words = (figures: Readonly<Record<string, number>>) => string;
const watts = (value: number | undefined): string => formatText(value ?? 0, "W");
const taken = (value: number | undefined): string => `${formatText(value ?? 0, "VA")}`;

const WORDS: Readonly<Record<PlateMeaning["code"], Words>> = {
  "volt-amperes": (of) => `Volts times amps is ${taken(of["taken"])}: the most it can take in at its plate.`,
  input: (of) =>
    `${watts(of["watts"])} is what it takes in: ${formatPercent(of["share"] ?? 0)} of volts times amps. The shaft gives less.`,
  output: (of) =>
    `${watts(of["watts"])} at the shaft, ${formatPercent(of["share"] ?? 0)} of volts times amps: usual for a small motor.`,
  either: (of) =>
    `${watts(of["watts"])} is ${formatPercent(of["share"] ?? 0)} of volts times amps: it may be taken in or given at the shaft. Look for "in", "P1", "P2" or a shaft sign.`,
  peak: (of) =>
    `${watts(of["watts"])} is a peak for selling: for a moment only. Go by its amps for fuse and capacitor.`,
  "more-than-taken-in": (of) =>
    `${watts(of["watts"])} is more than volts times amps (${taken(of["taken"])}) can bring in. It is a peak or a starting figure, the amps belong to another voltage, or a digit is misread.`,
  "output-too-high": (of) =>
    `${watts(of["watts"])} at the shaft would be ${formatPercent(of["share"] ?? 0)} of volts times amps: no small motor wastes so little. More likely it is taken in, or a peak.`,
  "output-low": (of) =>
    `${watts(of["watts"])} is only ${formatPercent(of["share"] ?? 0)} of volts times amps: a shaded-pole motor, or the amps are those of starting.`,
  poles: (of) =>
    `${of["poles"]} poles: ${formatText(of["synchronous"] ?? 0, "1/min", 4)} less ${formatPercent(of["slip"] ?? 0)} slip.`,
  "above-two-poles": (of) =>
    `Faster than ${formatText(of["synchronous"] ?? 0, "1/min", 4)}: brushes or a board, or the speed is that of the output.`,
  "no-pole-count": () =>
    "No number of poles gives this speed: it may be that of a gear's output, or a motor on a board.",
};

export function plateWords({ code, figures }: PlateMeaning): string {
  return WORDS[code](figures);
}
