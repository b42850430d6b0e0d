import { ok } from "@/core/result";
import { entryDraftSchema } from "@/log/entry-draft.input";
import { jobParams, jobViewAnswer } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { type EntryDraft, recordEntry } from "@/server/services/record-entry";
import { readShopContext } from "@/server/services/shop-context";

/** Appends one entry to a job's log and answers with the job as it stands then. */
export const POST = defineEndpoint({
  about: "Appends one entry to a job's log and answers with the job as it stands then",
  params: jobParams,
  body: entryDraftSchema,
  response: jobViewAnswer,
  handle: async ({ params, body }) => {
    const kept = await recordEntry(
      Number(params.id),
      body as EntryDraft,
      new Date().toISOString(),
      await readShopContext(),
    );
    return kept.ok ? ok(kept.value) : kept;
  },
});
