import { follows } from "@/core/matching/facts";
import type { Family, Reserve, Row } from "@/core/matching/family";
import { choice, rating, voltsAc } from "@/core/matching/specs";
import { denoise } from "@/core/quantity/decimal";
import { formatText } from "@/core/quantity/format";
import { drawing } from "./drawing";
import { FAMILIES_OF_RATING, readFuse } from "./mark";
import { fuses } from "./series";

/** Amps of the fuse in a plug by the least section of its cord, square metres. Recalled from the trade, not checked. */
const PLUG_AMPS = [
  [1.25e-6, 13],
  [0.75e-6, 5],
  [0, 3],
] as const;
const QUICK: ReadonlySet<string> = new Set(["F", "FF"]);

interface Told {
  readonly amps: number;
  /** Read on the cap, not only typed. */
  readonly isMarked: boolean;
}

const keep = (said: string): Reserve[] => [{ attribute: "amps", keeps: true, said }];
const say = (said: string): Reserve[] => [{ attribute: "amps", keeps: false, said }];

/** A fuse in a plug guards its cord: never more than that carries, whatever was in there. */
function inPlug({ amps }: Told, section: number | undefined): Reserve[] {
  if (section === undefined) return keep("A fuse in a plug goes by its cord: say the section of the cord.");
  const most = PLUG_AMPS.find(([least]) => section >= least)?.[1] ?? 0;
  return amps > most ? keep(`${formatText(amps, "A", 3)}, and its cord allows ${most} A at most.`) : [];
}

/** Without a mark that can be read a fuse is held against the plate: allowed up to a share of its amps, never worked out from it. */
function byPlate({ amps, isMarked }: Told, plate: number | undefined, share: Row): Reserve[] {
  if (isMarked) return [];
  const own = formatText(amps, "A", 3);
  if (plate === undefined)
    return keep(`${own} was typed: write what stands on its cap above, or read the amps on the plate.`);
  const most = denoise(plate * share.value);
  const told = `${formatText(most, "A", 3)} (${share.value} times its amps${share.reviewed ? "" : ", recalled"})`;
  return amps > most
    ? keep(`${own} is more than the plate allows, ${told}: write what stands on the cap above.`)
    : say(`Its mark was not read: ${own} goes by the plate alone, which allows ${told}.`);
}

const CAP = { how: "Read the end caps, with a glass.", minutes: 1 };

/** Fuses: the same amps, time and body, never less breaking capacity. Source: iec-60127-2, ul-248-14. */
export const family: Family = {
  id: "fuse",
  title: "Fuse",
  key: "amps",
  attributes: {
    rating: choice("Family of rating", FAMILIES_OF_RATING, CAP, { isSafety: true }),
    amps: {
      label: "Amps",
      unit: "A",
      rule: { kind: "at-most", slack: 0 },
      isHard: true,
      isSafety: true,
      ...CAP,
    },
    speed: choice("Time", { FF: "very fast", F: "fast", M: "medium", T: "slow", TT: "very slow" }, CAP, {
      isSafety: true,
    }),
    body: choice(
      "Body",
      { "5x20": "5 × 20 mm", "6.3x32": "6.3 × 32 mm", "plug-top": "6.3 × 25 mm, plug", blade: "blade" },
      { how: "Measure length and diameter.", minutes: 1 },
    ),
    breaking: choice(
      "Breaking capacity",
      { high: "high, sand-filled", enhanced: "enhanced", low: "low, glass" },
      { how: "H, E or L on the cap; sand or ceramic is high, clear glass is low.", minutes: 1 },
      { rule: { kind: "order", from: ["high", "enhanced", "low"] }, isSafety: true },
    ),
    volts: voltsAc(CAP),
    cord: {
      ...rating("Section of the cord it guards", "m²", {
        how: "Only for a fuse in a plug: read the print on the sheath.",
        minutes: 1,
      }),
      isHard: false,
      isOfMachine: true,
    },
  },
  never: [
    {
      id: "not-for-ac",
      said: "Made for DC in a vehicle: it does not break mains.",
      when: (_, part) => part["body"] === "blade" || part["volts"] === 0,
    },
  ],
  schools: {},
  notes: {},
  goesWith: [
    {
      label: "A second fuse of the same kind",
      why: "The next one that blows says more than the first.",
      count: 1,
      priceMinor: 40,
    },
  ],
  readMark: readFuse,
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  used: { never: "A fuse that has carried a stall is thinner than it reads: always a new one." },
  reserves: ({ amps, speed, body, cord }, { plate }, rowOf) => {
    if (typeof amps?.value !== "number") return [];
    const told = { amps: amps.value, isMarked: amps.from === "marked" };
    return body?.value === "plug-top"
      ? inPlug(told, typeof cord?.value === "number" ? cord.value : undefined)
      : byPlate(
          told,
          plate.amps,
          rowOf(QUICK.has(String(speed?.value)) ? "fuse-plate-quick" : "fuse-plate-slow"),
        );
  },
  drawing,
  series: fuses,
};
