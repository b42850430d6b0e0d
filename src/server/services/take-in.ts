import { randomUUID } from "node:crypto";
import { folded } from "@/core/job/folded";
import type { TakenIn } from "@/core/job/log/entry";
import { at, fail, type Issue, issue, ok, type Result } from "@/core/result";
import type { Shape } from "@/core/validate";
import type { takeInDraftSchema } from "@/log/entry-draft.input";
import { contentHash } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import { jobView } from "@/server/queries/jobs";
import { entriesOf, entryById } from "@/server/repositories/entries";
import { createJob } from "@/server/repositories/jobs";
import { changeOwner, createOwner, ownerById } from "@/server/repositories/owners";
import { announce } from "./changes";
import type { Draft } from "./complete-entry";
import { recordWithin } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** Body of POST /api/jobs. `entryId` becomes that of the first entry, so that a request sent twice makes one job. */
export type TakeInDraft = Shape<typeof takeInDraftSchema>;

class Refused extends Error {
  constructor(readonly issues: readonly Issue[]) {
    super("take-in refused");
  }
}

async function jobMadeBefore(tx: Executor, draft: TakeInDraft): Promise<Result<number> | undefined> {
  const { entryId } = draft;
  const known = await entryById(tx, entryId);
  if (!known) return undefined;
  const first = (await entriesOf(tx, known.jobId))[0];
  const isSame = known.postedHash === null || known.postedHash === contentHash(draft);
  return isSame && first?.entryId === entryId && first.kind === "taken-in"
    ? ok(known.jobId)
    : fail(
        issue(
          "entryId",
          "stale/entry-id",
          `entryId ${entryId} was used for another entry: make a new one.`,
          entryId,
        ),
      );
}

/** The same machine comes back to the same owner, unless another one was named. */
async function ownerOfEarlier(tx: Executor, from: TakenIn["from"]): Promise<number | null> {
  if (from?.as !== "same") return null;
  const earlier = (await entriesOf(tx, from.jobId)).findLast((entry) => entry.kind === "taken-in");
  return earlier?.kind === "taken-in" ? earlier.payload.ownerId : null;
}

/** The stations of the machine it was begun from, this one or its twin: they are what it is built from. */
async function stationsOfEarlier(
  tx: Executor,
  { from, family }: TakeInDraft["takenIn"],
  { knowledge, limits }: ShopContext,
): Promise<readonly string[] | null> {
  if (!from) return null;
  const earlier = await jobView(tx, from.jobId, { ...knowledge, limits });
  return earlier?.view.takenIn?.family === family ? earlier.view.stations : null;
}

/** An owner who was here before and is still of that name; one forgotten or renamed since is a new one. */
async function knownOwner(
  tx: Executor,
  { ownerId, name, contact }: NonNullable<TakeInDraft["owner"]>,
): Promise<number | null> {
  if (ownerId === null) return null;
  const known = await ownerById(tx, ownerId);
  if (known?.name !== name) return null;
  // What is typed now of how they are reached is the later word.
  if (contact !== "" && contact !== known.contact)
    await changeOwner(tx, known, { name, contact, search: folded(name) });
  return ownerId;
}

async function takeInWithin(
  tx: Executor,
  draft: TakeInDraft,
  now: string,
  shopContext: ShopContext,
): Promise<number> {
  const { by } = draft;
  const jobId = await createJob(tx, now, by);
  const ownerId = draft.owner
    ? ((await knownOwner(tx, draft.owner)) ?? (await createOwner(tx, draft.owner.name, draft.owner.contact)))
    : await ownerOfEarlier(tx, draft.takenIn.from);
  let seq = 0;
  const postedHash = contentHash(draft);
  const record = async (path: string, entryId: string, entry: Draft): Promise<void> => {
    const kept = await recordWithin(
      tx,
      jobId,
      { ...entry, entryId, expectedSeq: seq, stage: "take-in", by },
      now,
      shopContext,
      { postedHash },
    );
    if (!kept.ok)
      throw new Refused(
        at(
          path,
          kept.issues.map((one) => ({ ...one, path: one.path.replace(/^payload\.?/, "") })),
        ),
      );
    seq = kept.value.seq;
  };
  await record("takenIn", draft.entryId, { kind: "taken-in", payload: { ...draft.takenIn, ownerId } });
  const stations = await stationsOfEarlier(tx, draft.takenIn, shopContext);
  if (stations)
    await record("stations", randomUUID(), { kind: "built", payload: { stations: [...stations] } });
  for (const [index, picture] of draft.pictures.entries())
    await record(`pictures.${index}`, randomUUID(), { kind: "picture", payload: picture });
  if (draft.plate) await record("plate", randomUUID(), { kind: "nameplate", payload: draft.plate });
  if (draft.complaint)
    await record("complaint", randomUUID(), { kind: "complaint", payload: draft.complaint });
  return jobId;
}

/** A machine at the door becomes a job: number, owner and first entries in one transaction. @returns the job's number */
export async function takeIn(
  draft: TakeInDraft,
  now: string,
  shopContext: ShopContext,
): Promise<Result<number>> {
  try {
    const made = await shopContext.db.transaction(async (tx) => {
      const before = await jobMadeBefore(tx, draft);
      return before ?? ok(await takeInWithin(tx, draft, now, shopContext));
    });
    if (made.ok) announce({ jobId: made.value, seq: 1 });
    return made;
  } catch (error) {
    if (error instanceof Refused) return fail(...error.issues);
    throw error;
  }
}
