import { denoise } from "../quantity/decimal";
import { normaliseSigns } from "../quantity/parse-reading";
import { PRINTED, printedNumber, signsOf } from "../quantity/printed-number";
import { type Farads, farads, type Volts, volts } from "../quantity/units";
import { fail, ok, type Result } from "../result";
import {
  cut,
  type Draft,
  NUM,
  note,
  num,
  problem,
  take,
  takeCapacitance,
  type UnderstoodPart,
  type Values,
} from "./capacitance";
import { type PrintedVolts, voltsIn } from "./volts";

export type CapacitorRole = "start" | "run" | "not-known";

/** What is printed on a motor capacitor. Values in SI. */
export interface CapacitorMark {
  readonly text: string;
  /** The band printed as such, or worked out from nominal and tolerance; absent without a tolerance. */
  readonly band?: { readonly min: Farads; readonly max: Farads };
  readonly nominal?: Farads;
  readonly tolerance?: { readonly minus: number; readonly plus: number; readonly printed: string };
  readonly voltsAc?: Volts;
  /** Printed as direct volts: no rating for the mains. */
  readonly voltsDc?: Volts;
  readonly hertz?: number;
  readonly role: CapacitorRole;
  /** Why it is taken for a start or a run capacitor: the code of the first rule that fits. */
  readonly roleBecause: string;
  readonly dielectric: "film" | "electrolytic" | "not-known";
  /** Further sections of a can with two or three, as marked. */
  readonly others?: readonly Farads[];
  /** AC volts by life class, where several are printed. */
  readonly byClass?: readonly { readonly volts: Volts; readonly lifeClass: string }[];
  /** A part against noise: X lies across the mains, Y from the mains to the frame. */
  readonly suppressor?: string;
  readonly understood: readonly UnderstoodPart[];
  /** Pieces that mean nothing here: printed numbers of the maker, dates. */
  readonly leftOver: readonly string[];
}

/** IEC 60062 tolerance letters (source iec-60062). */
const TOLERANCE_LETTERS: ReadonlyMap<string, readonly [number, number]> = new Map(
  Object.entries<readonly [number, number]>({
    F: [0.01, 0.01],
    G: [0.02, 0.02],
    H: [0.03, 0.03],
    J: [0.05, 0.05],
    K: [0.1, 0.1],
    M: [0.2, 0.2],
    N: [0.3, 0.3],
    S: [0.2, 0.5],
    Z: [0.2, 0.8],
  }),
);
const LARGEST_TOLERANCE = 1;
const MOTOR_CAPACITOR_MAX_F = 0.1;

function takeTolerance(draft: Draft, letter: string | undefined): CapacitorMark["tolerance"] {
  const downUp = take(draft, new RegExp(String.raw`-?\s*(${NUM})\s*%?\s*[/ ,]\s*\+\s*(${NUM})\s*%`));
  const upDown = downUp
    ? undefined
    : take(draft, new RegExp(String.raw`\+\s*(${NUM})\s*%?\s*[/ ,]\s*-\s*(${NUM})\s*%`));
  const even =
    downUp || upDown
      ? undefined
      : (take(draft, new RegExp(String.raw`(?:±|\+\s*/\s*-|\+-)\s*(${NUM})\s*%`)) ??
        take(draft, /(?<![\d.,])(5|6|10|15|20)\s*%(?!\s*(?:ed|duty))/i));
  const found = downUp ?? upDown ?? even;
  if (found) {
    const uneven = downUp ?? upDown;
    const minus = num(upDown ? upDown[2] : found[1]) / 100;
    const plus = num(downUp ? downUp[2] : found[1]) / 100;
    const printed = found[0].trim();
    if (minus >= LARGEST_TOLERANCE || plus > LARGEST_TOLERANCE) {
      problem(
        draft,
        "tolerance-impossible",
        `Tolerance "${printed}" is not possible: motor capacitors are marked between ±1 % and ±20 %, or -0/+20 %.`,
        printed,
      );
      return undefined;
    }
    const percent = (share: number): number => Math.round(share * 1000) / 10;
    note(
      draft,
      printed,
      "tolerance",
      uneven ? `${percent(minus)} % down, ${percent(plus)} % up` : `${percent(plus)} % either way`,
    );
    return { minus, plus, printed };
  }
  const alone = letter ?? take(draft, /(?:^|\s)(?:tol\.?\s*)?([GHJKMZ])(?=\s|$)/)?.[1];
  const pair = alone ? TOLERANCE_LETTERS.get(alone) : undefined;
  if (!alone || !pair) return undefined;
  note(draft, alone, "tolerance", `letter ${alone}: ${pair[0] * 100} % down, ${pair[1] * 100} % up`);
  return { minus: pair[0], plus: pair[1], printed: alone };
}

/** Several volts with their life classes in the same order: 400/450/475 V C/B/A. */
function takeVoltsByClass(draft: Draft): CapacitorMark["byClass"] {
  const found = take(
    draft,
    /(\d{2,4}(?:\s*\/\s*\d{2,4}){1,3})\s*v(?:\s*~|\s*a\.?c\.?|ac)?\s*(?:class\s*)?([ABCD](?:\s*\/\s*[ABCD]){1,3})(?![a-z0-9])/i,
  );
  const [all = [], classes = []] = [found?.[1], found?.[2]].map((text) =>
    text?.split("/").map((one) => one.trim()),
  );
  if (!found || all.length !== classes.length) return undefined;
  const pairs = all.map((one, index) => ({
    volts: volts(Number(one)),
    lifeClass: (classes[index] ?? "").toUpperCase(),
  }));
  note(draft, found[0], "voltage", pairs.map((one) => `${one.volts} V class ${one.lifeClass}`).join(", "));
  return pairs;
}

/** Takes the first volts of these kinds; those that stand for none are told of. */
function takeVolts(draft: Draft, kinds: readonly PrintedVolts["kind"][]): number | undefined {
  const found = voltsIn(draft.rest).find(({ kind }) => kinds.includes(kind));
  if (!found) return undefined;
  const { text, index, values } = found;
  cut(draft, index, text.length);
  const most = Math.max(...values);
  if (most === 0)
    problem(
      draft,
      "no-volts",
      `Voltage "${text.trim()}" is none: a capacitor is marked with volts such as 250 VAC.`,
      text.trim(),
    );
  note(
    draft,
    text,
    "voltage",
    found.kind === "dc" ? `${most} V DC, no rating for the mains` : `${most} V AC`,
  );
  return most;
}

interface RoleClue {
  readonly because: string;
  readonly role: CapacitorRole;
  readonly pattern: RegExp;
  readonly field: UnderstoodPart["field"];
  readonly meaning: string;
}

/** In the order of DOMAIN 5: the first that fits decides. */
const ROLE_CLUES: readonly RoleClue[] = [
  {
    because: "duty-mark",
    role: "start",
    pattern: /(?:\b\d+(?:[.,]\d+)?\s*%\s*(?:ed|duty)|\b(?:\d+[.,]\d+|3)\s*%)(?=\s|$)/i,
    field: "role",
    meaning: "duty: meant for starting",
  },
  {
    because: "starts-per-hour",
    role: "start",
    pattern: /\b\d+\s*(?:starts?|st)\s*\/?\s*(?:per\s*)?h(?:our)?\b/i,
    field: "role",
    meaning: "starts an hour: meant for starting",
  },
  {
    because: "start-standard",
    role: "start",
    pattern: /(?:iec|en)\s*60252\s*-\s*2/i,
    field: "role",
    meaning: "standard for start capacitors",
  },
  {
    because: "word-start",
    role: "start",
    pattern: /\b(?:motor\s*)?start(?:ing)?\b/i,
    field: "role",
    meaning: "marked for starting",
  },
  {
    because: "run-standard",
    role: "run",
    pattern: /(?:iec|en)\s*60252\s*-\s*1/i,
    field: "role",
    meaning: "standard for run capacitors",
  },
  {
    because: "life-class",
    role: "run",
    pattern: /\bclass\s*[ABCD]\b|(?:^|\s)[ABCD](?=\s*[/-]?\s*[SP][0-3])/i,
    field: "class",
    meaning: "life class: a run capacitor",
  },
  {
    because: "protection-class",
    role: "run",
    pattern: /\b[SP][0-3]\b/i,
    field: "protection",
    meaning: "protection class: a run capacitor",
  },
  {
    because: "type-film",
    role: "run",
    pattern: /\bCBB\s?-?6\d[A-Z]?\b/i,
    field: "role",
    meaning: "part type of film capacitors for running",
  },
  {
    because: "type-electrolytic",
    role: "start",
    pattern: /\bCD\s?-?60[A-Z]?\b/i,
    field: "role",
    meaning: "part type of electrolytic capacitors for starting",
  },
  {
    because: "word-run",
    role: "run",
    pattern: /\b(?:motor\s*)?run(?:ning)?\b/i,
    field: "role",
    meaning: "marked for running",
  },
];

/** X1 to X3, Y1 to Y4: parts against noise. */
function takeSuppressor(draft: Draft): string | undefined {
  const found = take(draft, /(?<![\w/])([XY][1-4])(?:\s*\/\s*[XY][1-4])?(?![\w/])/);
  if (found)
    note(
      draft,
      found[0],
      "role",
      `${found[1]}: against noise, ${found[1]?.startsWith("X") ? "across the mains" : "to the frame"}; no motor capacitor`,
    );
  return found?.[1];
}

function takeRole(draft: Draft): { role: CapacitorRole; because: string } {
  let decided: { role: CapacitorRole; because: string } | undefined;
  for (const clue of ROLE_CLUES) {
    const match = take(draft, clue.pattern);
    if (!match) continue;
    note(draft, match[0], clue.field, clue.meaning);
    decided ??= { role: clue.role, because: clue.because };
  }
  return decided ?? { role: "not-known", because: "no-clue" };
}

function takeDielectric(draft: Draft): CapacitorMark["dielectric"] {
  const film = take(draft, /\b(?:mkp|film|polyprop\w*|mpp|sh)\b/i);
  if (film) note(draft, film[0], "dielectric", "film");
  const electrolytic = take(draft, /\b(?:electrolytic|elko|bipolar|non-?polari[sz]ed)\b/i);
  if (electrolytic) note(draft, electrolytic[0], "dielectric", "electrolytic");
  if (electrolytic) return "electrolytic";
  return film ? "film" : "not-known";
}

/** Range, electrolytic or ±15 % and wider: start. ±5 to 10 % with 250–500 V, or film: run. Otherwise ask. */
function roleFromValues(
  values: Values,
  tolerance: CapacitorMark["tolerance"],
  voltsAc: number | undefined,
  dielectric: CapacitorMark["dielectric"],
): { role: CapacitorRole; because: string } {
  if (values.min !== undefined) return { role: "start", because: "range" };
  if (dielectric === "electrolytic") return { role: "start", because: "electrolytic" };
  if (values.others !== undefined) return { role: "run", because: "dual-can" };
  if (tolerance && tolerance.plus >= 0.15 && (voltsAc ?? 0) <= 330)
    return { role: "start", because: "wide-tolerance" };
  if (tolerance && tolerance.plus <= 0.1 && ((voltsAc ?? 0) >= 250 || dielectric === "film"))
    return { role: "run", because: "tolerance-and-volts" };
  if (dielectric === "film") return { role: "run", because: "film" };
  return { role: "not-known", because: "no-clue" };
}

function bandOf(values: Values, tolerance: CapacitorMark["tolerance"]): CapacitorMark["band"] {
  if (values.min !== undefined && values.max !== undefined)
    return { min: farads(values.min), max: farads(values.max) };
  if (values.nominal === undefined || !tolerance) return undefined;
  return {
    min: farads(denoise(values.nominal * (1 - tolerance.minus))),
    max: farads(denoise(values.nominal * (1 + tolerance.plus))),
  };
}

function checkValues(draft: Draft, values: Values, text: string): void {
  const largest = Math.max(values.max ?? 0, values.nominal ?? 0);
  if (draft.issues.length > 0) return;
  if (largest === 0)
    problem(
      draft,
      "no-capacitance",
      `Marking "${text}" has no capacitance above zero: write it as printed, such as 145-174 μF 250 VAC or 30 μF ±5 % 450 VAC.`,
      text,
    );
  else if (largest > MOTOR_CAPACITOR_MAX_F)
    problem(draft, "too-large", `Capacitance in "${text}" is larger than any motor capacitor (0.1 F).`, text);
}

const isCapacitance = ({ field }: UnderstoodPart): boolean => field === "capacitance";

/** One comma or point before exactly three digits: for farads both are sold, so it is asked. Volts are the larger. */
function checkThousands(draft: Draft): void {
  for (const { text } of draft.parts.filter(isCapacitance))
    for (const [found] of text.matchAll(new RegExp(PRINTED, "g"))) {
      if (!/^\d{1,3}[.,]\d{3}$/.test(found) || signsOf(found).groups === undefined) continue;
      problem(
        draft,
        "thousands",
        `Capacitance "${found}" can be ${Number(found.replace(",", "."))} or ${printedNumber(found)}: write the one that is printed, without a mark between thousands.`,
        found,
      );
    }
}

const SIGNED: ReadonlySet<UnderstoodPart["field"]> = new Set(["capacitance", "tolerance", "voltage"]);

/** One sign cannot set thousands apart in one number and be the decimal point of the next. */
function checkSigns(draft: Draft, text: string): void {
  const signs = draft.parts
    .filter(({ field }) => SIGNED.has(field))
    .flatMap((part) => [...part.text.matchAll(new RegExp(PRINTED, "g"))].map(([found]) => signsOf(found)));
  const points = new Set(signs.flatMap(({ point }) => point ?? []));
  const isTwoWays = points.size > 1 || signs.some(({ groups }) => groups !== undefined && points.has(groups));
  if (isTwoWays)
    problem(
      draft,
      "two-ways",
      `Marking "${text}" writes its numbers in two ways: write decimals with a point and thousands with nothing between, such as 1200 V 8.5 μF.`,
      text,
    );
}

/**
 * A motor capacitor's marking, field by field.
 * Knows ranges, nominal values with tolerance or tolerance letter (iec-60062), dual cans, codes such as 106K,
 * AC volts, standards, classes, duty and starts an hour, and from these whether it is a start or a run part.
 * @example parseCapacitorMark("145-174 µF 250 VAC") // band 145e-6 to 174e-6 F, 250 V, role start because range
 */
export function parseCapacitorMark(typed: string): Result<CapacitorMark> {
  const text = normaliseSigns(typed).trim().replace(/\s+/g, " ");
  const draft: Draft = { rest: text, parts: [], issues: [] };
  const hertzMatch = take(draft, /(\d{2}(?:\s*[/-]\s*\d{2})?)\s*hz/i);
  const climate = take(draft, /\b\d{2}\/\d{2,3}\/\d{2}\b/);
  const values = takeCapacitance(draft);
  const tolerance = takeTolerance(draft, values.letter);
  const several = takeVoltsByClass(draft);
  const voltsDc = takeVolts(draft, ["dc"]);
  const voltsAc = several
    ? Math.max(...several.map((one) => one.volts))
    : takeVolts(draft, ["ac", "not-said"]);
  if (hertzMatch) note(draft, hertzMatch[0], "frequency", `${hertzMatch[1]} Hz`);
  if (climate) note(draft, climate[0], "climate", "lowest and highest temperature, days of damp heat");
  const dielectric = takeDielectric(draft);
  const suppressor = takeSuppressor(draft);
  const named = several ? { role: "run" as const, because: "life-class" } : takeRole(draft);
  checkValues(draft, values, text);
  checkThousands(draft);
  checkSigns(draft, text);
  if (draft.issues.length > 0) return fail(...draft.issues);
  const decided = named.role === "not-known" ? roleFromValues(values, tolerance, voltsAc, dielectric) : named;
  const band = bandOf(values, tolerance);
  return ok({
    text,
    ...(band ? { band } : {}),
    ...(values.nominal === undefined ? {} : { nominal: farads(values.nominal) }),
    ...(tolerance ? { tolerance } : {}),
    ...(voltsAc === undefined ? {} : { voltsAc: volts(voltsAc) }),
    ...(voltsDc === undefined ? {} : { voltsDc: volts(voltsDc) }),
    ...(hertzMatch?.[1] ? { hertz: Number.parseInt(hertzMatch[1], 10) } : {}),
    role: decided.role,
    roleBecause: decided.because,
    dielectric: dielectric === "not-known" ? dielectricFromRole(decided.role) : dielectric,
    ...(values.others ? { others: values.others.map(farads) } : {}),
    ...(several ? { byClass: several } : {}),
    ...(suppressor ? { suppressor } : {}),
    understood: draft.parts,
    leftOver: draft.rest
      .split("¦")
      .map((piece) => piece.trim())
      .filter((piece) => /[\p{L}\p{N}]/u.test(piece)),
  });
}

/** A start part with nothing else said is nearly always electrolytic, a run part film. */
function dielectricFromRole(role: CapacitorRole): CapacitorMark["dielectric"] {
  if (role === "start") return "electrolytic";
  return role === "run" ? "film" : "not-known";
}

/** All sections of a can together, at the most that their marks allow. Farads. */
export function wholeCapacitance({ band, nominal, others }: CapacitorMark): Farads {
  return farads((band?.max ?? nominal ?? 0) + (others ?? []).reduce((sum, one) => sum + one, 0));
}
