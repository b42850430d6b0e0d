import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { foldedByOctets } from "@/server/services/calendar-lines";

/** A line of a calendar never begins with a space: that would be the rest of the line before it. */
const text = fc.stringMatching(/^([a-zà-ÿ€😀][a-zà-ÿ€😀 ]*)?$/u, { size: "large" });

describe("lines of a calendar", () => {
  it("are at most 75 octets long, and unfolded they are what was written", () => {
    fc.assert(
      fc.property(fc.array(text, { minLength: 1 }), (lines) => {
        const written = lines.join("\r\n");
        const folded = foldedByOctets(written);
        for (const line of folded.split("\r\n")) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
        expect(folded.replaceAll("\r\n ", "")).toBe(written);
      }),
    );
  });

  it("that came folded by characters are folded anew", () => {
    const line = `SUMMARY:${"€".repeat(60)}`;
    const folded = foldedByOctets(`${line.slice(0, 40)}\r\n ${line.slice(40)}`);
    for (const piece of folded.split("\r\n")) expect(Buffer.byteLength(piece)).toBeLessThanOrEqual(75);
    expect(folded.replaceAll("\r\n ", "")).toBe(line);
  });
});
