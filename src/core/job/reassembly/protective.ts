import type { Removed } from "../log/entry";

/** Words of what keeps people from harm; a cover always does. */
const PROTECTIVE =
  /\b(guard|cover|shield|hood|earth|ground(ing)? (wire|strap|lead)|protector|interlock|thermal (fuse|cut-?out)|cut-?out|strain relief|cord grip|residual|brake)/i;

/** Whether what came off keeps someone from harm: it can be not fitted, never left out. */
export function isProtective({ sort, what }: Pick<Removed, "sort" | "what">): boolean {
  return sort === "cover" || (sort !== "fastener" && PROTECTIVE.test(what));
}
