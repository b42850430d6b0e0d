import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, type Page } from "@playwright/test";
import type { Finding } from "@/core/tools/finding.input";
import { LEADS_FIELD } from "@/core/tools/leads";
import { loadTool, loadWords } from "@/tools/registry";
import { test } from "./demo-shop";
import { fingers, keys, type Sheet } from "./sheet-hand";

const PHONE = { width: 390, height: 844 };

type Input = Readonly<Record<string, unknown>>;
interface Worked {
  readonly tool: string;
  readonly cases: readonly { readonly name: string; readonly input: Input }[];
}

/** The first worked case of every room, whatever rooms there are. */
function firstCases(): { readonly id: string; readonly input: Input }[] {
  return readdirSync("src/tools", { withFileTypes: true })
    .filter((topic) => topic.isDirectory())
    .flatMap(({ name }) => readdirSync(join("src/tools", name)).map((id) => join("src/tools", name, id)))
    .map((room) => JSON.parse(readFileSync(join(room, "worked.json"), "utf8")) as Worked)
    .flatMap(({ tool, cases }) => (cases[0] ? [{ id: tool, input: cases[0].input }] : []));
}

/** What the tool says of that input, in the words of its screen. */
async function saidOf(page: Page, address: string, id: string, input: Input): Promise<string> {
  const answer = await page.request.post(`${address}/api/tools/${id}`, { data: { input } });
  const { finding } = (await answer.json()) as { finding: Finding };
  const reason = finding.reasons[0];
  const words = await loadWords(id);
  if (!reason || !words) throw new Error(`${id} says nothing of its first worked case`);
  return words[reason.code]?.(reason.params) ?? "";
}

type Case = ReturnType<typeof firstCases>[number];

/** As few sheets as have every kind of field between them: how fingers fill a field does not depend on the tool. */
async function oneOfEachField(): Promise<readonly Case[]> {
  const seen = new Set<string>();
  const chosen: Case[] = [];
  const cases = await Promise.all(
    firstCases().map(async (one) => {
      const fields = Object.entries((await loadTool(one.id))?.fields ?? {});
      const kinds = fields
        .filter(([id]) => one.input[id] !== undefined)
        .map(([, { kind, place }]) => `${kind} ${place ?? ""}`);
      return { one, kinds: new Set(kinds) };
    }),
  );
  for (const { one, kinds } of cases.sort((a, b) => b.kinds.size - a.kinds.size)) {
    if ([...kinds].every((kind) => seen.has(kind))) continue;
    chosen.push(one);
    for (const kind of kinds) seen.add(kind);
  }
  return chosen;
}

/** Opens the sheet of each tool, types its first worked case field by field, and keeps it. */
async function useTools(page: Page, address: string, hand: Sheet, cases: readonly Case[]): Promise<void> {
  for (const { id, input } of cases) {
    await test.step(id, async () => {
      const fields = (await loadTool(id))?.fields ?? {};
      await page.goto(`${address}/tools/${id}`);
      await page.getByLabel("Readings kept").waitFor();
      // What decides which others are asked stands first; the reading comes last, and is kept.
      const reading = Object.entries(fields).find(
        ([, one]) => one.kind === "reading" && one.place === "main",
      );
      const isMain = (one: string): number => Number(fields[one]?.place === "main");
      const order = Object.keys(fields)
        .filter((one) => one !== reading?.[0] && input[one] !== undefined)
        .sort((one, other) => isMain(other) - isMain(one));
      for (const one of order) {
        const field = fields[one];
        if (field) await hand.fill({ tool: id, id: one, field, value: input[one] });
      }
      // The ohms of the shop's own test leads stand ready; the worked case says its own, or none.
      await hand.leads(String(input[LEADS_FIELD] ?? ""));
      const last = reading ? input[reading[0]] : undefined;
      if (typeof last === "string") await hand.reading(last);
      const said = await saidOf(page, address, id, input);
      await expect(page.getByTestId("verdict"), id).toContainText(said);
      await hand.keep();
      await expect(page.getByLabel("Readings kept"), id).toContainText(said);
    });
  }
}

test("by keyboard alone: the sheet of every tool, filled from its first worked case and kept", async ({
  page,
  shop,
}) => {
  await useTools(page, shop.address, keys(page), firstCases());
});

test("with fingers on a phone: every kind of field, filled from a first worked case and kept", async ({
  browser,
  shop,
}) => {
  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await useTools(page, shop.address, fingers(page), await oneOfEachField());
  await phone.close();
});
