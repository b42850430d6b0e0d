import { existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { fail, type Issue, issue, type Result } from "@/core/result";
import { POST as restore } from "@/pages/api/backups/[name]/restore";
import { POST as backUp, GET as backups } from "@/pages/api/backups/index";
import { GET as job } from "@/pages/api/jobs/[id]";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { openFolder } from "@/server/db/connect";
import { setDatabase, shopDatabase } from "@/server/db/shop-database";
import { finishSwitch, planSwitch, restoredFolder } from "@/server/db/switch-shop";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { undertake } from "@/server/services/undertaking";
import { allEntries } from "./every-job";
import { call, draft } from "./shop";

let root: string;
let folder: string;
beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), "spindle-restore-"));
  folder = join(root, "shop");
  process.env["GOOD_SPINDLE_DATA"] = folder;
  const shop = await openFolder(folder, "the test", { tell: () => undefined });
  setDatabase(shop);
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
}, 60_000);
afterAll(async () => {
  process.env["GOOD_SPINDLE_DATA"] = ".cache/test-data";
  await (await shopDatabase()).close();
  rmSync(root, { recursive: true });
});

interface State {
  readonly backups: readonly { readonly name: string }[];
  readonly work: {
    readonly isDone: boolean;
    readonly trouble: string | null;
    readonly left: string | null;
  } | null;
}
const lookAt = async (id: number): Promise<JobView> =>
  (await call<JobView>(job, { params: { id: String(id) } })).body;

async function whenDone(): Promise<State> {
  for (;;) {
    const { body } = await call<State>(backups);
    if (body.work?.isDone) return body;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

describe("putting a shop back from Set-up", () => {
  it("closes the shop to whoever would keep something meanwhile, says so, and opens it again however it ends", async () => {
    const { seq } = await lookAt(109);
    const note = draft(seq, "note", { text: "typed meanwhile" });
    const keep = () =>
      call<{ readonly issues: readonly Issue[] }>(postEntry, {
        method: "POST",
        params: { id: "109" },
        body: note,
      });
    let end = (_: Result<null>): void => undefined;
    const begun = undertake(
      "restore",
      new Date(),
      () => new Promise<Result<null>>((resolve) => (end = resolve)),
    );
    const refused = await keep();
    expect(refused.status).toBe(409);
    expect(refused.body.issues[0]?.message).toMatch(/being put back .* What you typed stays here/);
    // Looking goes on, and so does what keeps nothing.
    expect((await lookAt(109)).seq).toBe(seq);
    expect((await call(backUp, { method: "POST" })).status).toBe(409);
    end(fail(issue("", "archive/unreadable", "The backup is damaged.")));
    if (begun.ok) await begun.value.over;
    expect((await keep()).status).toBe(200);
  });

  it("switches to the backup whole, keeps what stood here aside, and believes no plug", async () => {
    const made = await call<State>(backUp, { method: "POST" });
    const name = made.body.backups[0]?.name ?? "";
    const atBackup = await allEntries((await shopDatabase()).db);
    const { seq, bench } = await lookAt(101);
    expect(bench.plug).toBe("unplugged");
    const since = draft(seq, "note", { text: "kept since the backup" });
    expect((await call(postEntry, { params: { id: "101" }, body: since })).status).toBe(200);

    expect((await call(restore, { method: "POST", params: { name } })).status).toBe(200);
    const twice = await call(restore, { method: "POST", params: { name } });
    expect(twice.status).toBe(409);
    expect(twice.problem.issues[0]?.message).toContain("under way");
    const { work } = await whenDone();
    expect(work?.trouble).toBeNull();

    const { db } = await shopDatabase();
    const now = await allEntries(db);
    expect(now.filter(({ by }) => by !== "restore")).toEqual(atBackup);
    const after = await lookAt(101);
    expect([after.seq, after.bench.plug, after.bench.stored]).toEqual([seq + 1, "not-known", []]);
    expect(existsSync(restoredFolder(folder))).toBe(false);
    // It goes on as a shop like any other, and its journal with it.
    const more = draft(after.seq, "note", { text: "after the restore" });
    expect((await call(postEntry, { params: { id: "101" }, body: more })).status).toBe(200);
    const aside = await openFolder(work?.left ?? "", "the test", { tell: () => undefined });
    const kept = (await allEntries(aside.db)).filter(({ jobId }) => jobId === 101).at(-1);
    expect(kept?.payload).toEqual({ text: "kept since the backup" });
    await aside.close();
  }, 60_000);

  it("a backup that is not there is refused, whatever its name", async () => {
    for (const name of ["good-spindle-2020-01-01T00-00-00Z.zip", "../shop", "folder.json"])
      expect((await call(restore, { method: "POST", params: { name } })).status).toBe(404);
  });
});

describe("a switch that is cut off", () => {
  const PARTS = ["postgres", "journal", "pictures", "folder.json"];
  /** A folder with an old shop of some parts, and a new one beside it. */
  function planned(): string {
    const at = mkdtempSync(join(tmpdir(), "spindle-switch-"));
    for (const part of PARTS) mkdirSync(join(at, part, "old"), { recursive: true });
    for (const part of ["postgres", "journal", "folder.json"])
      mkdirSync(join(restoredFolder(at), part, "new"), { recursive: true });
    planSwitch(at, "before-restore-2026");
    return at;
  }
  const standing = (at: string): string[] =>
    PARTS.flatMap((part) => (existsSync(join(at, part)) ? [`${part} ${readdirSync(join(at, part))}`] : []));

  // Every moment between two renames: so many of them were done.
  it.each([0, 1, 2, 3, 4, 5, 6])("after %i steps, is carried to its end by the next start", (done) => {
    const at = planned();
    mkdirSync(join(at, "before-restore-2026"));
    const steps = PARTS.flatMap((part): [string, string][] => [
      [join(at, part), join(at, "before-restore-2026", part)],
      [join(restoredFolder(at), part), join(at, part)],
    ]).filter(([from]) => !from.endsWith("restored/pictures"));
    for (const [from, to] of steps.slice(0, done)) renameSync(from, to);
    finishSwitch(at);
    expect(standing(at)).toEqual(["postgres new", "journal new", "folder.json new"]);
    expect(standing(join(at, "before-restore-2026"))).toEqual(PARTS.map((part) => `${part} old`));
    finishSwitch(at);
    expect(standing(at)).toHaveLength(3);
    rmSync(at, { recursive: true });
  });
});
