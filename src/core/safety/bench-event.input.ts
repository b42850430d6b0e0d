import * as yup from "yup";
import { byTag, oneOf, text } from "../fields.input";
import { INCIDENTS } from "../knowledge/move-page.input";
import { readingField } from "../quantity/reading.input";
import { finiteNumber, type Shape, strictObject } from "../validate";
import { HOLDABLE } from "./holdable";

const storeId = oneOf("What stores charge", ["start", "run", "bus", "suppressor", "any"]);
const measuredVolts = () => finiteNumber().label("Volts read").required().min(-100_000).max(100_000);

const BENCH_EVENTS = {
  "plugged-in": strictObject({
    event: oneOf("event", ["plugged-in"]),
    /** Where: behind the shop's residual-current outlet, or anywhere else. */
    outlet: oneOf("Outlet", ["residual-current", "other", "not-said"]),
  }),
  "not-known": strictObject({ event: oneOf("event", ["not-known"]) }),
  "nothing-stores": strictObject({
    event: oneOf("event", ["nothing-stores"]),
    /** Needed once a charge was read in this machine. */
    why: text("Why", 300),
  }),
  unplugged: strictObject({
    event: oneOf("event", ["unplugged"]),
    evidence: oneOf("Where the plug is", [
      "plug-in-sight",
      "plug-in-pocket",
      "plug-tagged",
      "cord-off-machine",
    ]),
  }),
  isolated: strictObject({
    event: oneOf("event", ["isolated"]),
    volts: measuredVolts(),
    /** The meter showed no more than that its range is too small: the volts are what they are taken for. */
    over: yup.boolean(),
    means: yup.string().label("Read with").required().max(80),
  }),
  battery: strictObject({ event: oneOf("event", ["battery"]), is: oneOf("Battery", ["in", "out"]) }),
  "stored-volts": strictObject({
    event: oneOf("event", ["stored-volts"]),
    id: storeId,
    volts: measuredVolts(),
    over: yup.boolean(),
    dielectric: oneOf("Dielectric", ["film", "electrolytic", "not-known"]),
  }),
  "stored-clip": strictObject({ event: oneOf("event", ["stored-clip"]), id: storeId }),
  /** Every clip is off again: what it was on may hold a charge. */
  "clips-off": strictObject({ event: oneOf("event", ["clips-off"]) }),
  "stored-none": strictObject({
    event: oneOf("event", ["stored-none"]),
    id: storeId,
    why: yup.string().label("What shows it").required().min(3).max(300),
  }),
  "stored-cannot": strictObject({
    event: oneOf("event", ["stored-cannot"]),
    id: storeId,
    why: yup.string().label("Why not").required().max(300),
  }),
  /** Power did something that must not happen twice; it is off again, as far as anybody knows. */
  incident: strictObject({ event: oneOf("event", ["incident"]), what: oneOf("What it did", INCIDENTS) }),
  held: strictObject({
    event: oneOf("event", ["held"]),
    id: oneOf("Held", HOLDABLE),
    is: oneOf("Held", ["held", "free", "none"]),
    /** Why it is not in a machine whose kind has it. */
    why: yup.string().label("Why it is not there").max(300),
  }),
  "seen-to": strictObject({
    event: oneOf("event", ["seen-to"]),
    id: yup.string().label("Hazard").required().max(60),
  }),
  load: strictObject({ event: oneOf("event", ["load"]), is: oneOf("Load", ["coupled", "separated"]) }),
  temperature: strictObject({
    event: oneOf("event", ["temperature"]),
    is: oneOf("Temperature", ["cold", "warm", "hot"]),
  }),
} as const;

/** What a repairer says or does that changes how the machine stands. */
export const benchEventSchema = byTag("event", BENCH_EVENTS);

/** The same as a screen posts it: volts are typed, and the server reads what was marked on the part. */
export const benchEventDraft = byTag("event", {
  ...BENCH_EVENTS,
  "stored-volts": strictObject({
    event: oneOf("event", ["stored-volts"]),
    id: storeId,
    volts: readingField("voltage", "Volts read").required(),
  }),
  isolated: strictObject({
    event: oneOf("event", ["isolated"]),
    volts: readingField("voltage", "Volts read").required(),
    means: yup.string().label("Read with").required().max(80),
  }),
});

export type BenchEvent = Shape<typeof benchEventSchema>;
