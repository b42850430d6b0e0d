import * as yup from "yup";
import { settingsSchema } from "@/core/shop/settings.input";
import { type Shape, strictObject } from "@/core/validate";
import { count, many, whole, word, yes } from "./fields";
import { routes } from "./route";

const stored = strictObject({
  value: settingsSchema.required(),
  version: yup.number().label("Version").integer().min(0).max(2_000_000_000).required(),
});
/** What the shop has set for itself, and which state of it that is. */
export type StoredSettings = Shape<typeof stored>;

const backup = strictObject({ name: word(), at: word(), bytes: count() });
/** A backup that was read back whole after it was written; its moment is in UTC. */
export type Backup = Shape<typeof backup>;

const undertaking = strictObject({
  what: yup.string().oneOf(["backup", "restore"]).required(),
  since: word(),
  isDone: yes(),
  trouble: yup.string().nullable().defined(),
  left: yup.string().nullable().defined(),
});
/**
 * Something that takes long and is done for the whole shop, one at a time: since when (UTC), why it came to nothing, and
 * what it left to be told.
 */
export type Undertaking = Shape<typeof undertaking>;

const backups = strictObject({
  folder: word(),
  backups: many(backup),
  work: undertaking.nullable().defined(),
});
const byName = strictObject({ name: word() });

export const SHOP_ROUTES = routes({
  "GET /api/settings": { about: "What the shop has set for itself", answer: stored },
  "PUT /api/settings": {
    about: "Changes what the shop has set; refused when somebody changed it since",
    body: stored.required(),
    answer: stored,
  },
  "GET /api/backups": {
    about: "Every good backup, newest first, where they lie, and the backup or restore that is under way",
    answer: backups,
  },
  "POST /api/backups": {
    about:
      "Makes a backup now, and reads it back before it counts as one; a long one is still under way in the answer",
    keepsNothing: true,
    answer: backups,
  },
  "GET /api/backups/{name}": {
    about: "A backup, to be kept elsewhere",
    params: byName,
    answers: "application/zip",
  },
  "POST /api/backups/{name}/restore": {
    about: "Puts the shop back to a backup; how it goes is in `work` of GET /api/backups",
    params: byName,
    keepsNothing: true,
    answer: strictObject({ name: word() }),
  },
  "POST /api/access": {
    about: "Takes the access code and hands out the session cookie",
    body: strictObject({ code: yup.string().label("Access code").required().max(40) }).required(),
    answer: strictObject({ ok: yes() }),
  },
  "DELETE /api/sessions": {
    about: "Ends the sessions of devices that were let in; those that are left are in the answer",
    body: strictObject({ ids: many(yup.string().label("Session").max(60)).max(100) }).required(),
    keepsNothing: true,
    answer: strictObject({ left: many(yup.string()) }),
  },
  "GET /api/health": {
    about: "Opens, migrates and seeds the database before it answers",
    answer: strictObject({ ready: yes(), engine: word(), jobs: whole() }),
  },
  "GET /api/openapi.json": { about: "This description, OpenAPI 3.1", answers: "application/json" },
});
