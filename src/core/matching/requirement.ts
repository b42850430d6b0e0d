import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import type { CapacitorMark } from "../markings/capacitor";
import { denoise } from "../quantity/decimal";

/** Where a value of the requirement comes from: what it is worth depends on it. */
export type From = "marked" | "measured" | "worked-out" | "assumed";

/** One attribute of the part that is needed. Hard ones decide, soft ones prefer. */
export interface Needed {
  readonly id:
    | "kind"
    | "capacitance"
    | "voltage"
    | "alternating"
    | "life-class"
    | "protection-class"
    | "resistor";
  readonly from: From;
  readonly isHard: boolean;
}

/** What the old capacitor says must be fitted in its place. Capacitance in farads, voltage AC. */
export interface CapacitorRequirement {
  readonly role: "start" | "run";
  readonly min?: number;
  readonly max?: number;
  readonly nominal?: number;
  readonly voltsAc: number;
  readonly lifeClass?: string;
  readonly protectionClass?: string;
  readonly hasResistor: boolean;
  readonly needed: readonly Needed[];
}

function markedClass(mark: CapacitorMark, field: "class" | "protection"): string | undefined {
  const text = mark.understood.find((part) => part.field === field)?.text;
  return text ? /[ABCD]$/i.exec(text)?.[0]?.toUpperCase() : undefined;
}

function protectionOf(mark: CapacitorMark): string | undefined {
  const text = mark.understood.find((part) => part.field === "protection")?.text.toUpperCase();
  return text ? `S${text.slice(-1)}` : undefined;
}

/**
 * The requirement that an old capacitor's marking makes, each value with where it came from.
 * @param supplyVolts the strictest supply that is known: no part below what it asks for, whatever the old one was
 */
export function capacitorRequirement(
  mark: CapacitorMark,
  role: "start" | "run",
  supplyVolts: number,
  hasResistor: boolean,
  limits: Limits,
): CapacitorRequirement {
  const timesSupply = (row: string): number => Math.ceil(denoise(supplyVolts * limitOf(limits, row).value));
  const marked = mark.voltsAc ?? timesSupply(`${role}-volts-per-supply`);
  const floor = timesSupply(`${role}-volts-floor`);
  // What was fitted before may have been wrong already: the stricter of mark and supply decides.
  const volts = Math.max(marked, floor);
  const lifeClass = role === "run" ? markedClass(mark, "class") : undefined;
  const protectionClass = role === "run" ? protectionOf(mark) : undefined;
  const band =
    role === "start" && mark.nominal !== undefined && !mark.band
      ? {
          min: mark.nominal,
          max: denoise(mark.nominal * (1 + limitOf(limits, "capacitor-start-tolerance-assumed").value)),
        }
      : mark.band;
  const one = (id: Needed["id"], from: From, isHard = true): Needed => ({ id, from, isHard });
  /** A class that is not marked is only preferred. */
  const classOf = (id: Needed["id"], marked: string | undefined): Needed =>
    one(id, marked ? "marked" : "assumed", marked !== undefined);
  return {
    role,
    ...(band ? { min: band.min, max: band.max } : {}),
    ...(mark.nominal === undefined ? {} : { nominal: mark.nominal }),
    voltsAc: volts,
    ...(lifeClass ? { lifeClass } : {}),
    ...(protectionClass ? { protectionClass } : {}),
    hasResistor,
    needed: [
      one("kind", mark.role === role ? "marked" : "assumed"),
      one("capacitance", "marked"),
      one("voltage", mark.voltsAc === undefined ? "assumed" : volts > marked ? "worked-out" : "marked"),
      one("alternating", "worked-out"),
      ...(role === "run"
        ? [classOf("life-class", lifeClass), classOf("protection-class", protectionClass)]
        : []),
      ...(hasResistor ? [one("resistor", "measured")] : []),
    ],
  };
}
