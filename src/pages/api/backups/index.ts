import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { backUpNow, backupFolder, listBackups } from "@/server/backup/backups";
import { defineEndpoint } from "@/server/http/endpoint";

const backup = strictObject({
  name: yup.string().required(),
  at: yup.string().required(),
  bytes: yup.number().integer().min(0).required(),
});

/** Every backup that was read back whole after it was written, newest first. */
export const GET = defineEndpoint({
  about: "Every good backup, newest first, and where they lie",
  response: strictObject({
    folder: yup.string().required(),
    backups: yup.array(backup.required()).required(),
  }),
  handle: async () => ok({ folder: backupFolder(), backups: listBackups() }),
});

export const POST = defineEndpoint({
  about: "Makes a backup now, and reads it back before it counts as one",
  response: backup,
  handle: async () => backUpNow(new Date()),
});
