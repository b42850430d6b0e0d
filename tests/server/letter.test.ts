import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Letter } from "@/letter/letter";
import { letterRuns } from "@/server/services/letter-fonts";
import { letterPdf } from "@/server/services/letter-pdf";

const said = (text: string): string =>
  letterRuns(text)
    .map((run) => run.text)
    .join("");
const fonts = (text: string): string[] => letterRuns(text).map(({ font }) => font);
const letters = (text: string): string => [...text.normalize("NFC")].sort().join("");

const LETTER: Letter = {
  jobId: 7,
  shopName: "Tern Quay Mending Room",
  address: "Net Loft, Tern Quay",
  telephone: "Tern Quay 41",
  day: "29 Nov 2026",
  to: "יעל כהן",
  machine: "Hedge trimmer",
  word: "repaired",
  headline: "Your hedge trimmer is repaired.",
  parts: [
    { title: "What we did", sentences: ["Cord fitted, 30 μF, 5 Ω.", "Für Łukasz, Нина, مريم الحداد."] },
  ],
  bill: [{ label: "To pay", amount: "€12.00" }],
  signature: "left bench",
  card: ["Tern Quay Mending Room, job 7"],
};

describe("a text in the fonts that have its letters", () => {
  it("loses no letter and adds none, whatever is written", () => {
    const mixed = fc.string({
      unit: fc.constantFrom(..."abcŁżéμΩНиєיעלכهنمريمạ 12€,.-"),
      maxLength: 40,
    });
    fc.assert(
      fc.property(mixed, (text) => {
        expect(letters(said(text))).toBe(letters(text));
      }),
    );
  });

  it("stays one run in one font where there is nothing special", () => {
    expect(letterRuns("Cord fitted, €12.00")).toEqual([{ text: "Cord fitted, €12.00", font: "Letters" }]);
  });

  it("takes each script from its own cut", () => {
    expect(fonts("30 μF")).toEqual(["Letters", "Greek", "Letters"]);
    expect(fonts("Żółty")).toEqual(["MoreLetters", "Letters", "MoreLetters", "Letters"]);
    expect(fonts("Нина")).toEqual(["Cyrillic"]);
  });

  it("sets words that are written from the right so that they are read from the right", () => {
    expect(said("יעל כהן לוי")).toBe("לוי כהן יעל");
    expect(said("To יעל כהן: trimmer")).toBe("To כהן יעל: trimmer");
    // A space inside such a run would be turned with its letters.
    for (const { text, font } of letterRuns("مريم الحداد came"))
      if (font === "Arabic") expect(text).not.toContain(" ");
  });
});

describe("the letter as a PDF", () => {
  it("is one page of a few kilobytes, with names of any script and of any length", async () => {
    for (const to of [LETTER.to, "N".repeat(300)]) {
      const pdf = Buffer.from(await letterPdf({ ...LETTER, to }));
      expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
      expect(pdf.toString("latin1").match(/\/Type \/Page\b/g)).toHaveLength(1);
      expect(pdf.length).toBeLessThan(200_000);
    }
  });
});
