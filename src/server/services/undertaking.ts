import { fail, issue, ok, type Result } from "@/core/result";
import type { Undertaking } from "@/wire/shop";

let current: Undertaking | null = null;

export function undertaking(): Undertaking | null {
  return current;
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
