import { folded } from "@/core/job/folded";
import { fail, issue, ok, type Result } from "@/core/result";
import { likeOf, standingOfJobs } from "@/server/repositories/job-facts";
import { changeOwner, findOwnerRows, jobIdsOfOwner, ownerById } from "@/server/repositories/owners";
import type { OwnerHit } from "@/wire/owners";
import { factsBasis } from "./own-facts";
import type { ShopContext } from "./shop-context";

const MOST_FOUND = 5;
const MOST_WORDS = 8;
/** More than one person ever brings to one shop; what lies beyond is found by search. */
const MOST_JOBS = 200;

/** Owners who were here before, by name: the contact is on their page alone. */
export async function findOwners(words: string, shopContext: ShopContext): Promise<OwnerHit[]> {
  const { db } = shopContext;
  const likes = folded(words).split(/\s+/).filter(Boolean).slice(0, MOST_WORDS).map(likeOf);
  if (likes.length === 0) return [];
  const rows = await findOwnerRows(db, likes, MOST_FOUND);
  const basis = factsBasis(shopContext);
  return Promise.all(
    rows.map(async ({ id, name, jobs }) => {
      const [last] = await standingOfJobs(db, await jobIdsOfOwner(db, id, 1), basis);
      return {
        ownerId: id,
        name,
        jobs,
        machine: last?.standing.takenIn?.machine ?? "",
        touchedAt: last?.touchedAt ?? "",
      };
    }),
  );
}

function noSuchOwner(id: number): Result<never> {
  return fail(issue("ownerId", "unknown/owner", `There is no owner ${id} in the shop's book.`, id));
}

/** An owner with what they brought: last touched first. */
export async function ownerPage(id: number, shopContext: ShopContext) {
  const { db } = shopContext;
  const owner = await ownerById(db, id);
  if (!owner) return noSuchOwner(id);
  const jobs = await standingOfJobs(db, await jobIdsOfOwner(db, id, MOST_JOBS), factsBasis(shopContext));
  return ok({ owner, jobs: jobs.map(({ standing, touchedAt }) => ({ standing, touchedAt })) });
}

/** Name or contact as it is now; refused where another device changed it since, with what it says now. */
export async function renameOwner(
  id: number,
  to: { readonly name: string; readonly contact: string; readonly version: number },
  { db }: ShopContext,
): Promise<Result<{ readonly version: number }>> {
  return db.transaction(async (tx) => {
    const owner = await ownerById(tx, id);
    if (!owner) return noSuchOwner(id);
    if (owner.name === "" && owner.contact === "")
      return fail(
        issue("ownerId", "owner/forgotten", "This owner asked to be forgotten: begin a new one.", id),
      );
    const isChanged = await changeOwner(
      tx,
      { id, version: to.version },
      { name: to.name, contact: to.contact, search: folded(to.name) },
    );
    return isChanged
      ? ok({ version: to.version + 1 })
      : fail(
          issue(
            "version",
            "stale/owner",
            `Another device changed this owner meanwhile: it now says "${owner.name}", "${owner.contact}". Look at it and keep again.`,
            owner.version,
          ),
        );
  });
}
