import { createHash } from "node:crypto";
import { TZDate } from "@date-fns/tz";
import { addDays, addMinutes, format, subDays } from "date-fns";
import sharp from "sharp";
import type { Part } from "@/core/matching/part";
import { parseWith } from "@/core/validate";
import { DEMO_PICTURES } from "@/demo/pictures";
import { DEMO_SHELF } from "@/demo/shelf";
import { TERN_QUAY } from "@/demo/shop";
import { STORIES } from "@/demo/stories";
import type { Story, StoryLine } from "@/demo/story";
import { entryDraftSchema } from "@/log/entry-draft.input";
import { loadFamily } from "@/parts/registry";
import { writeSettings } from "@/server/repositories/settings";
import { keepPicture } from "./keep-picture";
import { priceListOf } from "./price-lists";
import { type EntryDraft, recordEntry } from "./record-entry";
import { putOnShelf } from "./shelf";
import { type ShopContext, shopContextOn } from "./shop-context";
import { takeIn } from "./take-in";

const OPENING_HOUR = 9;

/** The last opening hour of the shop that is not in the future. */
export function lastOpening(now: Date, zone: string): Date {
  const local = new TZDate(now, zone);
  const opening = new TZDate(local.getFullYear(), local.getMonth(), local.getDate(), OPENING_HOUR, zone);
  const last = opening.getTime() <= now.getTime() ? opening : subDays(opening, 1);
  return new Date(last.getTime());
}

/** Ids that depend on the story only, so that the demo is the same shop every time. */
function storyId(seed: number, step: number): string {
  const hex = createHash("sha256").update(`tern-quay:${seed}:${step}`).digest("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

function withDay(payload: StoryLine["payload"], anchor: Date, zone: string): StoryLine["payload"] {
  const day = /^ANCHOR(?:\+(\d+))?$/.exec(String(payload["onDay"] ?? ""));
  return day
    ? { ...payload, onDay: format(addDays(new TZDate(anchor, zone), Number(day[1] ?? 0)), "yyyy-MM-dd") }
    : payload;
}

/** Draws a demo picture and keeps it as one from a camera would be. */
async function withPicture(
  payload: StoryLine["payload"],
  at: string,
  shopContext: ShopContext,
): Promise<StoryLine["payload"]> {
  const drawing = DEMO_PICTURES.get(String(payload["sha256"]));
  if (!drawing) throw new Error(`there is no demo picture "${payload["sha256"]}"`);
  const kept = await keepPicture(await sharp(Buffer.from(drawing)).png().toBuffer(), at, shopContext.db);
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
  return { ...payload, ...kept.value };
}

async function seedStory(story: Story, anchor: Date, shopContext: ShopContext): Promise<void> {
  const { seed, by, owner, takenIn, complaint, plate } = story;
  const instant = (minute: number): string => addMinutes(anchor, minute).toISOString();
  const made = await takeIn(
    {
      entryId: storyId(seed, 0),
      by,
      owner: owner && { ...owner, ownerId: null },
      takenIn,
      complaint,
      plate,
      pictures: [],
    },
    instant(story.minute),
    shopContext,
  );
  if (!made.ok) throw new Error(`demo story ${seed}: ${made.issues.map(({ message }) => message).join(" ")}`);
  let seq = 1 + (complaint ? 1 : 0) + (plate ? 1 : 0);
  for (const [index, line] of story.lines.entries()) {
    const at = instant(line.minute);
    const dated = withDay(line.payload, anchor, shopContext.settings.value.zone);
    const payload = line.kind === "picture" ? await withPicture(dated, at, shopContext) : dated;
    const watch = { settledSeq: seq, touchedAt: at };
    const draft = {
      entryId: storyId(seed, index + 1),
      expectedSeq: seq,
      kind: line.kind,
      stage: line.stage,
      payload,
      by,
      watch,
    };
    const parsed = parseWith(entryDraftSchema, draft);
    const kept = parsed.ok
      ? await recordEntry(made.value, parsed.value as EntryDraft, at, shopContext)
      : parsed;
    if (!kept.ok)
      throw new Error(
        `demo story ${seed}, line ${index + 1}: ${kept.issues.map(({ message }) => message).join(" ")}`,
      );
    seq = kept.value.seq;
  }
}

/** No story has this number: ids of the shelf never meet theirs. */
const SHELF_SEED = 0;
const DAYS_ON_SHELF = 20;
const KEEPER = "left bench";

async function listedPart(familyId: string, listedId: string): Promise<Part | undefined> {
  const family = await loadFamily(familyId);
  return family && priceListOf(family).parts.find(({ id }) => id === listedId);
}

async function seedShelf(anchor: Date, shopContext: ShopContext): Promise<void> {
  const at = subDays(anchor, DAYS_ON_SHELF).toISOString();
  for (const [step, { listedId, place, count, donor }] of DEMO_SHELF.entries()) {
    const family = listedId.slice(0, listedId.indexOf(":"));
    const listed = await listedPart(family, listedId);
    const kept = await putOnShelf(
      {
        id: storyId(SHELF_SEED, step),
        family,
        listedId,
        label: "",
        marking: "",
        typed: [],
        place,
        count,
        priceMinor: listed?.priceMinor ?? 0,
        supplier: listed?.supplier ?? "",
        donor: donor ?? null,
        by: KEEPER,
      },
      at,
      shopContext,
    );
    if (!kept.ok) throw new Error(`demo shelf, ${listedId}: ${kept.issues[0]?.message}`);
  }
}

/**
 * Fills an empty database with the demo shop, all of it or nothing. Every line passes the same checks as one typed at the
 * bench.
 */
export async function seedDemo({ db }: ShopContext, anchor: Date): Promise<void> {
  await db.transaction(async (tx) => {
    await writeSettings(tx, TERN_QUAY, 0, anchor.toISOString());
    const shop = await shopContextOn(tx);
    await seedShelf(anchor, shop);
    for (const story of STORIES) await seedStory(story, anchor, shop);
  });
}
