import { fail, issue, ok } from "@/core/result";
import { listBackups } from "@/server/backup/backups";
import { endpoint } from "@/server/http/endpoint";
import { restoreShop } from "@/server/services/restore-shop";

export const POST = endpoint("POST /api/backups/{name}/restore", {
  found: ({ name }) =>
    listBackups().some((one) => one.name === name)
      ? ok(name)
      : fail(issue("name", "not-found/backup", "There is no such backup.", name)),
  handle: async ({ params }) => {
    const begun = restoreShop(params.name, new Date());
    return begun.ok ? ok({ name: params.name }) : begun;
  },
});
