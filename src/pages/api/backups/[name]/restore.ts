import * as yup from "yup";
import { fail, issue, ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { listBackups } from "@/server/backup/backups";
import { defineEndpoint } from "@/server/http/endpoint";
import { restoreShop } from "@/server/services/restore-shop";

/** Puts the shop back to a backup. How it goes is in `work` of GET /api/backups. */
export const POST = defineEndpoint({
  about: "Puts the shop back to a backup; how it goes is in `work` of GET /api/backups",
  params: strictObject({ name: yup.string().required() }),
  response: strictObject({ name: yup.string().required() }),
  found: ({ name }) =>
    listBackups().some((one) => one.name === name)
      ? ok(name)
      : fail(issue("name", "not-found/backup", "There is no such backup.", name)),
  handle: async ({ params }) => {
    const begun = restoreShop(params.name, new Date());
    return begun.ok ? ok({ name: params.name }) : begun;
  },
});
