import type { Complaint, MotorPlate, Picture, RecallLook, TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { parseNameplate } from "@/core/nameplate/type-line";
import { minorDigits } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import type { Issue } from "@/core/result";
import type { KindQuestionId } from "@/core/safety/kind-questions";
import { parseWith } from "@/core/validate";
import { takeInDraftSchema } from "@/log/entry-draft.input";

/** What is typed at Take in: text, as it stands in the fields. */
export interface TakeInForm {
  machine: string;
  tag: string;
  place: string;
  /** An owner who was here before; null for a new one. */
  ownerId: number | null;
  ownerName: string;
  ownerContact: string;
  ceiling: string;
  fee: string;
  feeCounts: boolean;
  deposit: string;
  history: string;
  earlierParts: string;
  hazards: string[];
  /** Questions about a machine that is not known by its name, answered with "nothing of it". */
  hasNone: KindQuestionId[];
  /** Why it has none of what was said of it before. */
  whyWithout: string;
  recall: RecallLook["looked"];
  recallWhere: string;
  from: TakenIn["from"];
  family: string;
  protectionClass: TakenIn["protectionClass"];
  connection: TakenIn["connection"];
  heater: TakenIn["heater"];
  volts: string;
  hertz: string;
  amps: string;
  power: string;
  speed: string;
  powerIs: MotorPlate["powerIs"];
  typeCode: string;
  duty: string;
  enclosure: string;
  plateText: string;
  pictures: Picture[];
  signs: string[];
  circumstance: Complaint["circumstance"];
  afterMinutes: string;
  words: string;
  /** A fault that anybody can see, by the knowledge's name for it; empty for none. */
  seen: string;
}

export const EMPTY_FORM: TakeInForm = {
  machine: "",
  tag: "",
  place: "",
  ownerId: null,
  ownerName: "",
  ownerContact: "",
  ceiling: "",
  fee: "",
  feeCounts: true,
  deposit: "",
  history: "",
  earlierParts: "",
  hazards: [],
  hasNone: [],
  whyWithout: "",
  recall: "not-looked",
  recallWhere: "",
  from: null,
  family: "not-known",
  protectionClass: "not-known",
  connection: "not-known",
  heater: "not-known",
  volts: "",
  hertz: "",
  amps: "",
  power: "",
  speed: "",
  powerIs: "not-said",
  typeCode: "",
  duty: "",
  enclosure: "",
  plateText: "",
  pictures: [],
  signs: [],
  circumstance: "not-known",
  afterMinutes: "",
  words: "",
  seen: "",
};

export interface TakeInParts {
  readonly takenIn: Omit<TakenIn, "ownerId" | "carried">;
  readonly owner: {
    readonly ownerId: number | null;
    readonly name: string;
    readonly contact: string;
  } | null;
  readonly complaint: Complaint | null;
  readonly plate: MotorPlate | null;
  readonly pictures: readonly Picture[];
}

/** Which field a path of the posted shape belongs to. */
const FIELD_OF: ReadonlyMap<string, keyof TakeInForm> = new Map(
  Object.entries<keyof TakeInForm>({
    "owner.name": "ownerName",
    "owner.contact": "ownerContact",
    "plate.text": "plateText",
    "takenIn.ceilingMinor": "ceiling",
    "takenIn.feeMinor": "fee",
    "takenIn.depositMinor": "deposit",
    "takenIn.recall.where": "recallWhere",
  }),
);

export function fieldOf(path: string): keyof TakeInForm | undefined {
  const own = FIELD_OF.get(path);
  if (own) return own;
  const last = path.split(".")[1] ?? "";
  return last in EMPTY_FORM ? (last as keyof TakeInForm) : undefined;
}

function plateOf(form: TakeInForm): MotorPlate | null {
  const { volts, hertz, amps, power, speed, powerIs, typeCode, duty, enclosure, plateText: text } = form;
  const typed = [volts, hertz, amps, power, speed, typeCode, duty, enclosure, text];
  const isEmpty = typed.every((one) => one.trim() === "");
  return isEmpty
    ? null
    : {
        plate: "motor",
        volts: volts.trim(),
        hertz: hertz.trim(),
        amps: amps.trim(),
        power: power.trim(),
        speed: speed.trim(),
        powerIs,
        typeCode: typeCode.trim(),
        duty: duty.trim(),
        enclosure: enclosure.trim(),
        text: text.trim(),
      };
}

function complaintOf(form: TakeInForm): Complaint | null {
  const { signs, circumstance, words } = form;
  if (signs.length === 0 && words.trim() === "") return null;
  const minutes = form.afterMinutes.trim() === "" ? null : Number(form.afterMinutes.replace(",", "."));
  return {
    signs,
    circumstance,
    afterMinutes: circumstance === "after-minutes" ? minutes : null,
    words: words.trim(),
  };
}

/** An amount as typed in minor units, or what is wrong with it; nothing typed is no amount. */
function moneyOf(
  typed: string,
  currency: string,
  label: string,
  path: string,
): { readonly minor: number | null; readonly issues: readonly Issue[] } {
  if (typed.trim() === "") return { minor: null, issues: [] };
  const parsed = parseMoney(typed, currency, label);
  return parsed.ok
    ? { minor: parsed.value, issues: [] }
    : { minor: null, issues: parsed.issues.map((one) => ({ ...one, path })) };
}

/** The form as it is posted, and every problem with it by field. */
export function readForm(
  form: TakeInForm,
  currency: string,
): { readonly parts: TakeInParts; readonly issues: readonly Issue[] } {
  const ceiling = moneyOf(form.ceiling, currency, "Owner's ceiling", "takenIn.ceilingMinor");
  const fee = moneyOf(form.fee, currency, "Fee for looking", "takenIn.feeMinor");
  const deposit = moneyOf(form.deposit, currency, "Deposit", "takenIn.depositMinor");
  const { tag, place, family, protectionClass, connection, heater, history, hazards, feeCounts, from } = form;
  const takenIn = {
    machine: form.machine.trim(),
    tag: tag.trim(),
    place: place.trim(),
    family,
    protectionClass,
    connection,
    heater,
    ceilingMinor: ceiling.minor,
    history: history.trim(),
    earlierParts: form.earlierParts.trim(),
    hazards: [...hazards].sort(),
    hasNone: [...form.hasNone],
    whyWithout: form.whyWithout.trim(),
    feeMinor: fee.minor,
    feeCounts,
    depositMinor: deposit.minor,
    recall: { looked: form.recall, where: form.recallWhere.trim() },
    from,
  };
  const owner =
    form.ownerName.trim() === "" && form.ownerContact.trim() === ""
      ? null
      : { ownerId: form.ownerId, name: form.ownerName.trim(), contact: form.ownerContact.trim() };
  const { pictures } = form;
  const parts = { takenIn, owner, complaint: complaintOf(form), plate: plateOf(form), pictures };
  const placeholder = { entryId: "00000000-0000-4000-8000-000000000000", by: "form" };
  const parsed = parseWith(takeInDraftSchema, { ...placeholder, ...parts });
  return {
    parts,
    issues: [...ceiling.issues, ...fee.issues, ...deposit.issues, ...(parsed.ok ? [] : parsed.issues)],
  };
}

/** What a line of a plate says, as fields of the form; what it does not say is left as it is. */
export function plateFields(typed: string): Partial<TakeInForm> {
  const { fields, powerIs, typeCode, protectionClass, capacitor, leftOver } = parseNameplate(typed);
  const words = [leftOver, capacitor ? `capacitor ${capacitor}` : ""]
    .filter((part) => part !== "")
    .join(", ");
  return {
    ...fields,
    ...(powerIs === "not-said" ? {} : { powerIs }),
    ...(typeCode ? { typeCode } : {}),
    ...(words ? { plateText: words } : {}),
    ...(protectionClass ? { protectionClass } : {}),
  };
}

function amount(minor: number | null | undefined, currency: string): string {
  const digits = minorDigits(currency);
  return minor === null || minor === undefined ? "" : (minor / 10 ** digits).toFixed(digits);
}

/** A job that a new one is begun from: the same machine again, or one of its kind. */
export function formFrom(earlier: JobView, as: "same" | "twin", currency: string): TakeInForm {
  const whole = formOf(earlier, "", currency);
  const begun: TakeInForm = {
    ...EMPTY_FORM,
    machine: whole.machine,
    family: whole.family,
    protectionClass: whole.protectionClass,
    connection: whole.connection,
    heater: whole.heater,
    hazards: whole.hazards,
    hasNone: whole.hasNone,
    volts: whole.volts,
    hertz: whole.hertz,
    amps: whole.amps,
    power: whole.power,
    powerIs: whole.powerIs,
    speed: whole.speed,
    duty: whole.duty,
    enclosure: whole.enclosure,
    from: { jobId: earlier.jobId, as },
  };
  if (as === "twin") return begun;
  const done = earlier.interventions.map(({ label }) => label).join(", ");
  return {
    ...begun,
    tag: whole.tag,
    typeCode: whole.typeCode,
    plateText: whole.plateText,
    history: [whole.history, `Job ${earlier.jobId} here.`].filter((part) => part !== "").join(" "),
    earlierParts: [whole.earlierParts, done].filter((part) => part !== "").join("; "),
  };
}

/** What a job says, back as the text of the form. */
export function formOf(job: JobView, ownerName: string, currency: string): TakeInForm {
  const { takenIn, complaint, plate } = job;
  const minutes = complaint?.afterMinutes;
  return {
    ...EMPTY_FORM,
    ...(takenIn
      ? {
          machine: takenIn.machine,
          tag: takenIn.tag,
          place: takenIn.place,
          family: takenIn.family,
          history: takenIn.history,
          earlierParts: takenIn.earlierParts,
          hazards: [...takenIn.hazards],
          hasNone: [...takenIn.hasNone],
          feeCounts: takenIn.feeCounts,
          recall: takenIn.recall.looked,
          recallWhere: takenIn.recall.where,
          from: takenIn.from,
          protectionClass: takenIn.protectionClass,
          connection: takenIn.connection,
          heater: takenIn.heater,
        }
      : {}),
    ceiling: amount(takenIn?.ceilingMinor, currency),
    fee: amount(takenIn?.feeMinor, currency),
    deposit: amount(takenIn?.depositMinor, currency),
    ownerName,
    ...(plate
      ? {
          volts: plate.volts,
          hertz: plate.hertz,
          amps: plate.amps,
          power: plate.power,
          speed: plate.speed,
          powerIs: plate.powerIs,
          typeCode: plate.typeCode,
          duty: plate.duty,
          enclosure: plate.enclosure,
          plateText: plate.text,
        }
      : {}),
    ...(complaint
      ? { signs: [...complaint.signs], circumstance: complaint.circumstance, words: complaint.words }
      : {}),
    afterMinutes: minutes === null || minutes === undefined ? "" : String(minutes),
  };
}
