import type { Reading } from "./reading";

/** A number and its unit apart, since the unit is drawn smaller. */
export interface Printed {
  readonly number: string;
  readonly unit: string;
}

const STEPS: readonly { readonly scale: number; readonly prefix: string }[] = [
  { scale: 1e9, prefix: "G" },
  { scale: 1e6, prefix: "M" },
  { scale: 1e3, prefix: "k" },
  { scale: 1, prefix: "" },
  { scale: 1e-3, prefix: "m" },
  { scale: 1e-6, prefix: "μ" },
  { scale: 1e-9, prefix: "n" },
  { scale: 1e-12, prefix: "p" },
];

/** Capacitors of motors are spoken of in microfarads down to a hundredth of one, never in millifarads. */
function stepFor(magnitude: number, unit: string): { scale: number; prefix: string } {
  const none = { scale: 1, prefix: "" };
  if (magnitude === 0) return unit === "F" ? { scale: 1e-6, prefix: "μ" } : none;
  if (unit === "F" && magnitude >= 1e-8) return { scale: 1e-6, prefix: "μ" };
  if (unit === "V" || unit === "Hz" || unit === "1/min" || unit === "dB" || unit === "ΔK") return none;
  const step = STEPS.find(({ scale }) => magnitude >= scale * 0.99995);
  return step ?? none;
}

function significant(value: number, digits: number): string {
  if (value === 0) return "0";
  const decimals = digits - 1 - Math.floor(Math.log10(Math.abs(value)) + 1e-9);
  const fixed = value.toFixed(Math.min(12, Math.max(0, decimals)));
  return decimals > 0 && fixed.includes(".") ? fixed.replace(/\.?0+$/, "") : fixed;
}

const UNIT_WORD: ReadonlyMap<string, string> = new Map(Object.entries<string>({ "1/min": "r/min", ΔK: "K" }));

/**
 * A value in SI as a repairer reads it.
 * @example formatQuantity(61.8e-6, "F") // { number: "61.8", unit: "μF" }
 */
export function formatQuantity(value: number, unit: string, digits = 3): Printed {
  if (unit === "K") return { number: significant(value - 273.15, digits), unit: "°C" };
  if (unit === "share") return { number: significant(value * 100, digits), unit: "%" };
  const { scale, prefix } = stepFor(Math.abs(value), unit);
  const number = significant(value / scale, digits);
  // Three decimals are thousands elsewhere: such volts are printed in thousandths, and read back as they are.
  if (unit === "V" && /^-?[1-9]\d*\.\d{3}$/.test(number))
    return { number: (value * 1000).toFixed(0), unit: "mV" };
  return { number, unit: `${prefix}${UNIT_WORD.get(unit) ?? unit}` };
}

/** The same in one piece: `61.8 μF`. */
export function formatText(value: number, unit: string, digits = 3): string {
  const printed = formatQuantity(value, unit, digits);
  return `${printed.number} ${printed.unit}`;
}

/** Only of ohms is it known that they are more, or less. */
function bound(sign: string, limit: number): Printed {
  const { number, unit } = formatQuantity(limit, "Ω");
  return { number: `${sign} ${number}`, unit };
}

/** A reading as kept: what was typed, in words where it is no number. */
export function formatReading(reading: Reading): Printed {
  switch (reading.kind) {
    case "value":
      return formatQuantity(reading.value, reading.unit, 4);
    case "over-range":
      return reading.limit === undefined ? { number: "OL", unit: "over range" } : bound(">", reading.limit);
    case "under-range":
      return reading.limit === undefined ? { number: "UL", unit: "under range" } : bound("<", reading.limit);
    case "not-taken":
      return { number: "–", unit: reading.why };
  }
}

/** A chance as the screen may say it: to 5 %, with "about"; below 5 % "unlikely" (SAFETY). */
export function formatChance(chance: number): string {
  if (chance < 0.05) return "unlikely";
  return `about ${Math.round(chance * 20) * 5} %`;
}

/** A share as a whole percentage: `57 %`. */
export function formatPercent(share: number): string {
  return `${significant(share * 100, Math.abs(share) >= 1 ? 3 : 2)} %`;
}

/** @example formatDuration(98) // "1 min 38 s" */
export function formatDuration(totalSeconds: number): string {
  if (totalSeconds < 1) return "under 1 s";
  const whole = Math.ceil(totalSeconds);
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  const rest = whole % 60;
  const parts = [
    hours > 0 ? `${hours} h` : "",
    minutes > 0 ? `${minutes} min` : "",
    rest > 0 && hours === 0 ? `${rest} s` : "",
  ];
  return parts.filter((part) => part !== "").join(" ");
}

/** Digits behind the point of a currency (ISO 4217, as the JavaScript engine knows it). */
export function minorDigits(currency: string): number {
  const options = new Intl.NumberFormat("en", { style: "currency", currency }).resolvedOptions();
  return options.maximumFractionDigits ?? 2;
}

/** Signs that the fonts we ship can print; any other currency is named by its code. */
const PRINTABLE = /^[\x20-\x7e€£¥]+$/;

/**
 * Money in minor units, with the currency's own sign where it can be printed.
 * @example formatMoney(2740, "EUR") // "€27.40"
 */
export function formatMoney(minor: number, currency: string): string {
  const value = minor / 10 ** minorDigits(currency);
  const shown = (currencyDisplay: "narrowSymbol" | "code"): string =>
    new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay, useGrouping: false })
      .format(value)
      .replace(/\u00a0/g, " ");
  const withSign = shown("narrowSymbol");
  return PRINTABLE.test(withSign) ? withSign : shown("code");
}

/** A format of each zone, made once: making one takes as long as reading a job. */
function byZone(locale: string, options: Intl.DateTimeFormatOptions): (zone: string) => Intl.DateTimeFormat {
  const formats = new Map<string, Intl.DateTimeFormat>();
  return (timeZone) => {
    const format = formats.get(timeZone) ?? new Intl.DateTimeFormat(locale, { ...options, timeZone });
    formats.set(timeZone, format);
    return format;
  };
}

const isoDayFormat = byZone("en-CA", { year: "numeric", month: "2-digit", day: "2-digit" });
const instantFormat = byZone("en-GB", {
  weekday: "short",
  day: "numeric",
  month: "short",
  hour: "2-digit",
  minute: "2-digit",
  hourCycle: "h23",
});

/**
 * An instant in the shop's own zone.
 * @example formatInstant("2026-11-25T08:30:00Z", "Europe/Berlin") // "Wed 25 Nov 09:30"
 */
export function formatInstant(iso: string, zone: string): string {
  const parts = instantFormat(zone).formatToParts(new Date(iso));
  const of = (type: string): string => parts.find((part) => part.type === type)?.value ?? "";
  return `${of("weekday")} ${of("day")} ${of("month")} ${of("hour")}:${of("minute")}`;
}

const DAY_FORMAT = new Intl.DateTimeFormat("en-GB", {
  timeZone: "UTC",
  day: "numeric",
  month: "short",
  year: "numeric",
});

/** Whether a text is an instant exactly as we write them, of a year that every database of ours takes. */
export function isInstant(text: string): boolean {
  const date = new Date(text);
  return !Number.isNaN(date.getTime()) && date.toISOString() === text && date.getUTCFullYear() >= 1970;
}

/** A calendar day in words. @example formatDay("2026-12-03") // "3 Dec 2026" */
export function formatDay(day: string): string {
  const parts = DAY_FORMAT.formatToParts(new Date(`${day}T00:00:00Z`));
  const of = (type: string): string => parts.find((part) => part.type === type)?.value ?? "";
  return `${of("day")} ${of("month")} ${of("year")}`;
}

/** Whether a calendar day or an instant falls on which day in the shop's zone: `2026-11-25`. */
export function dayIn(iso: string, zone: string): string {
  return isoDayFormat(zone).format(new Date(iso));
}
