import pdfmake from "pdfmake";
import type { Letter } from "@/letter/letter";
import { LETTER_FONTS, letterRuns } from "./letter-fonts";

function runs(text: string, look: object = {}): { text: object[] } {
  return { text: letterRuns(text).map((run) => ({ ...run, ...look })) };
}

const GREY = "#5a5a52";

function content(letter: Letter): object[] {
  const part = ({ title, sentences }: Letter["parts"][number]): object[] => [
    { ...runs(title, { bold: true }), margin: [0, 7, 0, 1] },
    ...sentences.map((one) => ({ ...runs(one), margin: [0, 0, 0, 1] })),
  ];
  const lastLine = letter.bill.length - 1;
  return [
    {
      columns: [
        {
          stack: [
            runs(letter.shopName, { bold: true, fontSize: 14 }),
            runs(letter.address),
            runs(letter.telephone),
          ],
        },
        { stack: [runs(`Job ${letter.jobId}`), runs(letter.day)], alignment: "right", width: 130 },
      ],
    },
    {
      ...runs(letter.to === "" ? letter.machine : `To ${letter.to}: ${letter.machine}`),
      margin: [0, 12, 0, 0],
    },
    { ...runs(letter.headline, { bold: true, fontSize: 17 }), margin: [0, 6, 0, 2] },
    ...letter.parts.flatMap(part),
    { ...runs("What it costs", { bold: true }), margin: [0, 7, 0, 2] },
    {
      layout: "noBorders",
      table: {
        widths: [220, 90],
        body: letter.bill.map(({ label, amount }, at) => [
          runs(label, { bold: at === lastLine }),
          { ...runs(amount, { bold: at === lastLine }), alignment: "right" },
        ]),
      },
    },
    { ...runs(letter.signature, { color: GREY, fontSize: 9 }), margin: [0, 10, 0, 8] },
    {
      table: { widths: ["*"], body: [[{ stack: letter.card.map((line) => runs(line, { fontSize: 9 })) }]] },
      unbreakable: true,
    },
  ];
}

/** The letter as a PDF: one page as a rule, with the fonts that ship with the program. */
export async function letterPdf(letter: Letter): Promise<Uint8Array> {
  pdfmake.setFonts(LETTER_FONTS);
  const pdf = pdfmake.createPdf({
    pageSize: "A4",
    pageMargins: [56, 44, 56, 40],
    info: { title: `Job ${letter.jobId}: ${letter.machine}` },
    defaultStyle: { font: "Letters", fontSize: 10.5, lineHeight: 1.15 },
    content: content(letter),
  } as never);
  return new Uint8Array(await pdf.getBuffer());
}
