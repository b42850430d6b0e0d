import { fail, type Issue, issue, ok, type Result } from "@/core/result";
import type { Undertaking } from "@/wire/shop";

let current: Undertaking | null = null;

export function undertaking(): Undertaking | null {
  return current;
}

/**
 * Why nothing can be kept now, where that is so: what is kept while the shop is put back would go aside with the shop that
 * stood here, and writers would keep the put-back from coming to its end.
 */
export function closedToWriters(): Issue | undefined {
  if (current?.what !== "restore" || current.isDone) return undefined;
  return issue(
    "",
    "guard/putting-back",
    "The shop is being put back to a backup: nothing can be kept until that is over. What you typed stays here: keep it again then.",
  );
}

/**
 * Begins something that takes long; how it goes is asked for. Refused while something else is under way.
 * @param work gives what is left to be told
 */
export function undertake(
  what: Undertaking["what"],
  now: Date,
  work: () => Promise<Result<string | null>>,
): Result<{ readonly over: Promise<void> }> {
  if (current && !current.isDone)
    return fail(
      issue(
        "",
        "guard/under-way",
        `A ${current.what} is under way since ${current.since}: wait until it is over.`,
      ),
    );
  const begun: Undertaking = { what, since: now.toISOString(), isDone: false, trouble: null, left: null };
  current = begun;
  const over = work()
    .catch((error: unknown) =>
      fail(
        issue("", "server/fault", `It failed: ${error instanceof Error ? error.message : String(error)}.`),
      ),
    )
    .then((done) => {
      current = done.ok
        ? { ...begun, isDone: true, left: done.value }
        : { ...begun, isDone: true, trouble: done.issues.map(({ message }) => message).join(" ") };
    });
  return ok({ over });
}
