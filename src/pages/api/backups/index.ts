import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { backUpNow, backupFolder, listBackups } from "@/server/backup/backups";
import { defineEndpoint } from "@/server/http/endpoint";
import { undertake, undertaking } from "@/server/services/undertaking";

const backup = strictObject({
  name: yup.string().required(),
  at: yup.string().required(),
  bytes: yup.number().integer().min(0).required(),
});

const state = strictObject({
  folder: yup.string().required(),
  backups: yup.array(backup.required()).required(),
  work: strictObject({
    what: yup.string().oneOf(["backup", "restore"]).required(),
    since: yup.string().required(),
    isDone: yup.boolean().required(),
    trouble: yup.string().nullable().defined(),
    left: yup.string().nullable().defined(),
  })
    .nullable()
    .defined(),
});

const stateNow = () => ok({ folder: backupFolder(), backups: listBackups(), work: undertaking() });

/** Every backup that was read back whole after it was written, newest first. */
export const GET = defineEndpoint({
  about: "Every good backup, newest first, where they lie, and the backup or restore that is under way",
  response: state,
  handle: async () => stateNow(),
});

/** Long enough for the backup of a small shop: of a large one `work` tells. */
const WAIT_MS = 10_000;

export const POST = defineEndpoint({
  about:
    "Makes a backup now, and reads it back before it counts as one; a long one is still under way in the answer",
  response: state,
  handle: async () => {
    const now = new Date();
    const begun = undertake("backup", now, async () => {
      const made = await backUpNow(now);
      return made.ok ? ok(null) : made;
    });
    if (!begun.ok) return begun;
    await Promise.race([begun.value.over, new Promise((resolve) => setTimeout(resolve, WAIT_MS))]);
    return stateNow();
  },
});
