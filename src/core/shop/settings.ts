import type { DischargeSchool } from "../safety/discharge";

/** One range of one meter. */
export interface Instrument {
  readonly id: string;
  readonly label: string;
  readonly quantity: "capacitance" | "resistance" | "insulation" | "voltage";
  /** Highest value of this range, as typed. */
  readonly upTo: string;
  /** Percent of reading, as its sheet gives it. */
  readonly percent: number;
  readonly counts: number;
  /** Weight of the last digit, as typed. */
  readonly resolution: string;
  /** How it measures capacitance, where it does. */
  readonly mode: "ramp" | "series";
}

/** What the shop has set for itself. Stored whole, with a version. */
export interface Settings {
  readonly shopName: string;
  readonly region: string;
  readonly volts: number;
  readonly hertz: number;
  /** IANA time zone: day boundaries and due dates are the shop's own. */
  readonly zone: string;
  /** ISO 4217. */
  readonly currency: string;
  /** Minor units an hour. */
  readonly labourRateMinor: number;
  readonly instruments: readonly Instrument[];
  readonly kit: readonly string[];
  readonly dischargeSchool: DischargeSchool;
  /** Whether the shop's own closed jobs count in the suspects' chances. */
  readonly usesCounts: boolean;
  /** Limits the shop has set for itself, by limit id, SI. */
  readonly limits: Readonly<Record<string, number>>;
}

/** A shop that has set nothing yet. */
export const DEFAULT_SETTINGS: Settings = {
  shopName: "My mending room",
  region: "harmonised-230-50",
  volts: 230,
  hertz: 50,
  zone: "UTC",
  currency: "EUR",
  labourRateMinor: 2000,
  instruments: [
    {
      id: "pocket-meter-200u",
      label: "Pocket meter",
      quantity: "capacitance",
      upTo: "200u",
      percent: 2.5,
      counts: 5,
      resolution: "0.1u",
      mode: "ramp",
    },
  ],
  kit: [],
  dischargeSchool: "resistor-then-short",
  usesCounts: false,
  limits: {},
};
