import fc from "fast-check";
import { expect, it } from "vitest";
import { Turns } from "@/server/backup/turns";

/** A database on which a line takes so long, and on which whoever asks waits for others. */
async function take(waitMs: number, lineMs: number, lines: number): Promise<number> {
  let now = 0;
  const turns = new Turns(() => now);
  let [left, took] = [lines, 0];
  while (left > 0) {
    const lot = Math.min(left, turns.size);
    await turns.take(lot, async (began) => {
      now += waitMs;
      began();
      now += lot * lineMs;
      took = Math.max(took, lot * lineMs);
    });
    left -= lot;
  }
  // The first turn is as large as it is: nothing was measured yet.
  expect(took).toBeLessThanOrEqual(Math.max(200, 1000 * lineMs));
  return now;
}

it("a backup under writers takes at most some four times as long as alone, and holds nobody up for long", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.double({ min: 0, max: 150, noNaN: true }),
      fc.double({ min: 0.005, max: 0.25, noNaN: true }),
      async (waitMs, lineMs) => {
        const alone = await take(0, lineMs, 200_000);
        expect(await take(waitMs, lineMs, 200_000)).toBeLessThan(alone * 4 + 20 * waitMs);
      },
    ),
    { numRuns: 200 },
  );
});
