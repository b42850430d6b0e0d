import { parseWith } from "@/core/validate";
import type { Route } from "@/wire/route";
import { type RouteName, WIRE } from "@/wire/wire";

/** The product looks at the first answer of a route and at every so many after it: looking costs what reading it costs. */
const EVERY = 50;

const answered = new Map<RouteName, number>();

/** Where an answer does not fit its declaration: paths, never what stands there. */
export function misfits(serves: RouteName, text: string): readonly string[] {
  const { answer }: Route = WIRE[serves];
  if (!answer) return [];
  const fits = parseWith<unknown>(answer, JSON.parse(text));
  if (fits.ok) return [];
  // Somebody may be called as every object's own fields are: their name is a key of what we answer, and harms nothing.
  const ours = fits.issues.filter(({ code }) => code !== "input/field-name");
  return ours.map(({ path, code }) => `${path || "(the whole)"} ${code}`);
}

/**
 * Holds an answer against its declaration. One that does not fit is a fault of ours: in tests it throws, in the product
 * its path is written down and the answer goes out.
 */
export function checkAnswer(serves: RouteName, text: string): void {
  if (process.env["GOOD_SPINDLE_ANSWERS"] === "strict") {
    const all = misfits(serves, text);
    if (all.length > 0) throw new Error(`the answer of ${serves} does not fit: ${all.join(", ")}`);
    return;
  }
  const before = answered.get(serves) ?? 0;
  answered.set(serves, before + 1);
  if (before % EVERY !== 0) return;
  setImmediate(() => {
    const all = misfits(serves, text);
    if (all.length > 0) console.error(`the answer of ${serves} does not fit: ${all.join(", ")}`);
  });
}
