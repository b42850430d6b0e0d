import * as yup from "yup";
import { finiteNumber, strictObject } from "../validate";
import { chance, ids, oneOf, optionalTable, provenance, table, words } from "./fields.input";
import { TOLD } from "./told";
import { TOUCHES } from "./touches";

/** A row of a table; where it comes from is said once a file, and on the row only where it differs. */
const row = <F extends yup.ObjectShape>(fields: F) =>
  strictObject({ ...fields, provenance: provenance().optional().default(undefined) }).required();

/** What a repair takes on this kind, where it is not what the table of repairs says: minutes, part in minor units. */
const ownRepairs = () =>
  optionalTable(
    strictObject({
      minutes: finiteNumber().positive(),
      partMinor: finiteNumber().min(0),
    }).required(),
  );

const answerRef = () => strictObject({ moveId: words(), outcomeId: words() }).required();

/** What can hold a charge: `any` stands for "the family is not known, so something may". */
const STORES = ["start", "run", "bus", "suppressor", "any"] as const;
/** What must hold of the machine for a limit to be the one that decides. */
const APPLIES_WHEN = ["heater", "class-1", "class-2", "class-not-known"] as const;

/** The row schema of each file under knowledge/tables; the key is the file's name. */
export const ROWS = {
  sources: row({ title: words() }),
  families: row({
    label: words(),
    clue: words(),
    /** What can hold charge in it, by hard exclusion. */
    stores: yup.array(oneOf(STORES)).required(),
    /** Stations such a machine usually has; none where isolation does not cover the family. */
    stations: ids(),
    /** Conditions in which every motor of the family is, sound or not. */
    sets: optionalTable(yup.string().required()),
    /** How often a motor of unknown kind is of this family. */
    share: chance().optional(),
    /** What another motor of the family costs and takes. */
    repairs: ownRepairs(),
    /** What can be done about a family that isolation does not cover, and what cannot. */
    scope: strictObject({ within: ids().min(1), outside: ids().min(1) })
      .optional()
      .default(undefined),
  }),
  /** Physical and legal limits, each from the standard its provenance names. */
  limits: row({
    label: words(),
    quantity: words(),
    unit: words(),
    relation: oneOf(["at-least", "at-most"] as const),
    value: finiteNumber().required(),
    region: yup.string(),
    /** It decides only where one of these holds; always where nothing is said. */
    appliesWhen: yup.array(oneOf(APPLIES_WHEN)),
    /** A safety row can be tightened by a shop, never loosened. */
    safety: yup.boolean(),
    /** The worst that loosening it can do, for a row that is none of safety: each row is one or the other. */
    lax: yup.string(),
  }),
  /** Tuning values of the engine: `label` says what it does, `why` why it has its value. */
  parameters: row({ label: words(), unit: words(), value: finiteNumber().required(), why: words() }),
  /** A place along the way electricity becomes motion. `inMotor`: another motor brings a new one. */
  stations: row({
    label: words(),
    order: finiteNumber().required(),
    inMotor: yup.boolean().required(),
    /** What work on it can spoil: it is proved again before power. */
    spoils: yup
      .array(oneOf(["look", "earth", "insulation"] as const))
      .required()
      .min(1),
  }),
  /** A kind of machine: its motor, and what it has beside or short of that family's usual stations. */
  archetypes: row({
    label: words(),
    /** What it is called, where that is not its label. */
    names: yup.array(words()),
    family: words(),
    adds: ids(),
    lacks: ids(),
    hazards: ids(),
    /** Limit of the time in which what turns stands still after the switch is off, where its kind has one of its own. */
    stop: yup.string(),
    /** Minutes to open what such a machine is closed with, by access. */
    covers: optionalTable(finiteNumber().required().min(0)),
    repairs: ownRepairs(),
    /** A new one of the kind: its price, minor units, and the years that it runs. */
    machine: strictObject({
      priceMinor: finiteNumber().required().positive(),
      years: finiteNumber().required().positive(),
    }).required(),
    /** What the kind is sold with as one piece, in the place of the motor and what is built to it. */
    assembly: strictObject({
      id: words(),
      label: words(),
      minutes: finiteNumber().required().positive(),
      partMinor: finiteNumber().required().min(0),
      /** Stations that come new with it. */
      stations: ids().min(1),
    })
      .optional()
      .default(undefined),
  }),
  /** Something done to cure a fault: minutes at the bench, opening and closing in them, and the part, minor units. */
  repairs: row({
    label: words(),
    /** The same once it is done, as the log and the owner's sheet say it. */
    done: words(),
    minutes: finiteNumber().required().positive(),
    partMinor: finiteNumber().required().min(0),
    /** What hands go to for it; everything that can hurt without power, where nothing is said. */
    touches: yup.array(oneOf(TOUCHES).required()).min(1).optional().default(undefined),
    /** Words of it that mean something else than they do elsewhere. */
    otherSense: optionalTable(words()),
    /** What must be off for it. */
    access: yup.array(words()),
    partFamily: yup.string(),
    /** The place whose chosen part it is done with. */
    forPart: yup.string().max(40),
    /** A part that was in use before is never fitted. */
    isNewOnly: yup.boolean(),
    /** Joined wrongly, the machine turns the wrong way, and one that runs on may run on longer. */
    mayReverse: yup.boolean(),
    /** Stations that come new with it: whatever was wrong there is gone. */
    replaces: yup.array(yup.string().required()),
    /** What the work may leave behind that was not there before, each with its chance. */
    brings: optionalTable(chance()),
    /** The easier half of a repair that is called both, `Clean or fit`: it costs no part. `cures`: share of what the repair cures. */
    easier: strictObject({
      label: words(),
      done: words(),
      minutes: finiteNumber().required().positive(),
      cures: chance(),
    })
      .optional()
      .default(undefined),
    /** What it cannot be done without: bought where the shop does not have it. */
    tool: yup.string(),
    /** What is likely to fail next, and is open to the hand while this is done. `fails`: chance before the machine is at its end; `saves`: minutes that need not be spent twice. */
    neighbour: strictObject({
      repair: words(),
      fails: chance(),
      saves: finiteNumber().required().min(0),
      why: words(),
    })
      .optional()
      .default(undefined),
    /** Small parts that move over from the old part to the new one. */
    carries: yup.array(yup.string().required()),
  }),
  /** Something that must be opened or taken off, how long that takes, and the names repairers give it. */
  /** What a machine is closed with: minutes to take it off and to put it back, as is usual. */
  access: row({
    label: words(),
    minutes: finiteNumber().required().positive(),
    closing: finiteNumber().required().min(0),
    names: yup.array(words()).required(),
  }),
  regions: row({
    label: words(),
    volts: finiteNumber().required().positive(),
    hertz: finiteNumber().required().positive(),
    leads: strictObject({ line: words(), neutral: words(), earth: words() }).required(),
  }),
  signs: row({
    sense: oneOf(["seen", "heard", "smelt", "felt"] as const),
    label: words(),
    /** The stop rule that this sign starts, in words. */
    stop: yup.string(),
    /** What must be in before any power, read or seen after it was told. */
    before: yup.array(oneOf(["look", "earth", "insulation", "look-inside"] as const)),
    /** The danger that it opens: what was told is closed by what was found to do it. */
    opens: yup.string().oneOf(TOLD),
    /** Questions that need not be asked once it was ticked. */
    settles: yup.array(yup.string().required()),
  }),
  deadChecks: row({
    label: words(),
    how: words(),
    quantity: oneOf(["seen", "resistance", "insulation", "current"] as const),
    classes: ids(),
    /** What a pass of it proves. */
    proves: oneOf(["look", "earth", "insulation"] as const),
    /** The answers that a pass and a failure of it amount to, for isolation. */
    tells: strictObject({ passed: answerRef(), failed: answerRef() }).optional().default(undefined),
    /** The check it may stand for, where that one cannot be taken. */
    insteadOf: yup.string(),
    /** What the machine must be like for it: plug out, or powered behind a residual-current device. */
    needs: oneOf(["plug-out", "powered"] as const),
    touches: yup.array(oneOf(TOUCHES)).required().min(1),
    otherSense: optionalTable(words()),
    /** Limit rows; the first that applies to the machine decides. */
    limits: ids(),
  }),
  /** What in a machine can hurt, what is done about it, and what is left to others. */
  hazards: row({
    label: words(),
    caution: words(),
    /** What is done before hands go in; the line is ticked once it is done. */
    act: words(),
    /** What it follows from; `said`: only from what was said at the door or is known of its kind. */
    follows: oneOf(["said", "mains", "charge", "electronics", "battery", "heater", "family"] as const),
    families: ids(),
    /** Whether the door asks for it. */
    asked: yup.boolean().required(),
    /** What is refused here while it stands: hands inside, any power. */
    blocks: yup.array(oneOf(["inside", "power"] as const)),
    /** No power before it was aired, and that was said. */
    airs: yup.boolean(),
    /** When the work ends here, and whose it is then. */
    stop: yup.string(),
    trade: yup.string(),
  }),
  /** A fault that can be plainly seen, the look that proves it, and the repair that mends it. */
  seen: row({ label: words(), moveId: words(), outcomeId: words(), repair: words() }),
  /** A recall notice the shop keeps: words of the plate that name the machine, and what to do. */
  recalls: row({ label: words(), words: ids().min(1), notice: words() }),
  kit: row({
    label: words(),
    /** What it costs to buy, where a repair asks for it; minor units. */
    buyMinor: finiteNumber().min(0),
  }),
  /** What keeps people from harm: how it is known, what taking it off and putting it back can spoil, and what tries it. */
  protections: row({
    label: words(),
    names: ids().min(1),
    colours: yup.array(yup.string().required()),
    terminals: yup.array(yup.string().required()),
    spoils: yup.array(oneOf(["look", "earth", "insulation"] as const).required()).required(),
    /** The reading that tries it, owed once it was off. */
    move: yup.string(),
    /** Its stop is timed. */
    isBrake: yup.boolean(),
  }),
  /** Words of a page that say what is touched or driven, the touches of which one must be named, and what else says that touch. */
  touchWords: row({
    label: words(),
    forms: ids().min(1),
    /** Phrases with those words that say nothing of it. */
    silent: ids(),
    touches: yup.array(oneOf(TOUCHES)).required().min(1),
    saidBy: ids(),
  }),
  /** Faults that no move tells apart: shown as one suspect, cured by one repair. */
  inseparable: row({ faults: ids().min(2), reason: words(), repair: words() }),
  /** Old id to the id that replaced it. */
  aliases: row({ now: words() }),
} as const;

export type TableName = keyof typeof ROWS;

/** A file of knowledge/tables. */
export const tableFile = <S extends yup.Schema>(rowSchema: S) =>
  strictObject({ provenance: provenance(), rows: table(rowSchema) }).required();
