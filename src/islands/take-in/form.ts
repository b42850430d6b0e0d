import type { Complaint, MotorPlate, TakenIn } from "@/core/job/entry";
import { takeInDraftSchema } from "@/core/job/entry.input";
import type { JobView } from "@/core/job/reduce";
import { minorDigits } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import type { Issue } from "@/core/result";
import { parseWith } from "@/core/validate";

/** What is typed at Take in: text, as it stands in the fields. */
export interface TakeInForm {
  machine: string;
  tag: string;
  place: string;
  ownerName: string;
  ownerContact: string;
  ceiling: string;
  history: string;
  family: string;
  protectionClass: TakenIn["protectionClass"];
  connection: TakenIn["connection"];
  heater: TakenIn["heater"];
  volts: string;
  hertz: string;
  amps: string;
  power: string;
  speed: string;
  plateText: string;
  signs: string[];
  circumstance: Complaint["circumstance"];
  afterMinutes: string;
  words: string;
}

export const EMPTY_FORM: TakeInForm = {
  machine: "",
  tag: "",
  place: "",
  ownerName: "",
  ownerContact: "",
  ceiling: "",
  history: "",
  family: "not-known",
  protectionClass: "not-known",
  connection: "not-known",
  heater: "not-known",
  volts: "",
  hertz: "",
  amps: "",
  power: "",
  speed: "",
  plateText: "",
  signs: [],
  circumstance: "not-known",
  afterMinutes: "",
  words: "",
};

export interface TakeInParts {
  readonly takenIn: Omit<TakenIn, "ownerId">;
  readonly owner: { readonly name: string; readonly contact: string } | null;
  readonly complaint: Complaint | null;
  readonly plate: MotorPlate | null;
}

/** Which field a path of the posted shape belongs to. */
const FIELD_OF: Readonly<Record<string, keyof TakeInForm>> = {
  "owner.name": "ownerName",
  "owner.contact": "ownerContact",
  "plate.text": "plateText",
  "takenIn.ceilingMinor": "ceiling",
};

export function fieldOf(path: string): keyof TakeInForm | undefined {
  const own = FIELD_OF[path];
  if (own) return own;
  const last = path.split(".")[1] ?? "";
  return last in EMPTY_FORM ? (last as keyof TakeInForm) : undefined;
}

function plateOf(form: TakeInForm): MotorPlate | null {
  const { volts, hertz, amps, power, speed, plateText: text } = form;
  const isEmpty = [volts, hertz, amps, power, speed, text].every((one) => one.trim() === "");
  return isEmpty
    ? null
    : {
        plate: "motor",
        volts: volts.trim(),
        hertz: hertz.trim(),
        amps: amps.trim(),
        power: power.trim(),
        speed: speed.trim(),
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

/** The form as it is posted, and every problem with it by field. */
export function readForm(
  form: TakeInForm,
  currency: string,
): { readonly parts: TakeInParts; readonly issues: readonly Issue[] } {
  const ceiling =
    form.ceiling.trim() === "" ? undefined : parseMoney(form.ceiling, currency, "Owner's ceiling");
  const { tag, place, family, protectionClass, connection, heater, history } = form;
  const ceilingMinor = ceiling?.ok ? ceiling.value : null;
  const takenIn = {
    machine: form.machine.trim(),
    tag: tag.trim(),
    place: place.trim(),
    family,
    protectionClass,
    connection,
    heater,
    ceilingMinor,
    history: history.trim(),
  };
  const owner =
    form.ownerName.trim() === "" && form.ownerContact.trim() === ""
      ? null
      : { name: form.ownerName.trim(), contact: form.ownerContact.trim() };
  const parts = { takenIn, owner, complaint: complaintOf(form), plate: plateOf(form) };
  const placeholder = { entryId: "00000000-0000-4000-8000-000000000000", by: "form" };
  const parsed = parseWith(takeInDraftSchema, { ...placeholder, ...parts });
  const money =
    ceiling && !ceiling.ok ? ceiling.issues.map((one) => ({ ...one, path: "takenIn.ceilingMinor" })) : [];
  return { parts, issues: [...money, ...(parsed.ok ? [] : parsed.issues)] };
}

/** What a job says, back as the text of the form. */
export function formOf(job: JobView, ownerName: string, currency: string): TakeInForm {
  const { takenIn, complaint, plate } = job;
  const digits = minorDigits(currency);
  const ceiling = takenIn?.ceilingMinor;
  return {
    ...EMPTY_FORM,
    ...(takenIn
      ? {
          machine: takenIn.machine,
          tag: takenIn.tag,
          place: takenIn.place,
          family: takenIn.family,
          history: takenIn.history,
        }
      : {}),
    ...(takenIn
      ? { protectionClass: takenIn.protectionClass, connection: takenIn.connection, heater: takenIn.heater }
      : {}),
    ceiling: ceiling === null || ceiling === undefined ? "" : (ceiling / 10 ** digits).toFixed(digits),
    ownerName,
    ...(plate
      ? {
          volts: plate.volts,
          hertz: plate.hertz,
          amps: plate.amps,
          power: plate.power,
          speed: plate.speed,
          plateText: plate.text,
        }
      : {}),
    ...(complaint
      ? { signs: [...complaint.signs], circumstance: complaint.circumstance, words: complaint.words }
      : {}),
    afterMinutes:
      complaint?.afterMinutes === null || complaint?.afterMinutes === undefined
        ? ""
        : String(complaint.afterMinutes),
  };
}
