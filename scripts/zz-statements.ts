import { mkdtempSync } from "node:fs";
import { randomUUID } from "node:crypto";
import { openFolder } from "@/server/db/connect";
import { setDatabase } from "@/server/db/shop-database";
import { shopContextOn, readShopContext } from "@/server/services/shop-context";
import { seedDemo } from "@/server/services/seed-demo";
import { recordEntry } from "@/server/services/record-entry";
import { journalled } from "@/server/services/journalled";
const folder = mkdtempSync("/tmp/zz-st-"); process.env.GOOD_SPINDLE_DATA = folder;
const shop = await openFolder(folder, "zz"); await shop.checked; setDatabase(shop);
const client = (shop.db as any).$client;
await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
const log: [string, number][] = [];
const o = client.execProtocolStream?.bind(client);
const names = ["execProtocolRaw","execProtocolStream","execProtocol"];
let n=0;
for (const m of names) { const f=client[m]?.bind(client); if(!f) continue; client[m]=async(...a:any[])=>{ n++; return f(...a); }; }
const tx0 = client.transaction.bind(client);
client.transaction = (cb: any) => tx0(async (tx: any) => { const q = tx.query; tx.query = async (s: string, ...r: any[]) => { const t=performance.now(); const x = await q(s, ...r); log.push(["  tx " + s.slice(0, 90), performance.now()-t]); return x; }; return cb(tx); });
const q0 = client.query.bind(client);
client.query = async (s: string, ...r: any[]) => { const t=performance.now(); const x = await q0(s, ...r); log.push([s.slice(0, 90).replace(/\s+/g," "), performance.now()-t]); return x; };
if (process.argv[2]) { const ks = Object.keys(client.parsers); console.log("parsers", ks.length); for (const k of ks) if (Number(k) > 5000 || !(client.constructor as any)) delete client.parsers[k]; const rows = (await client.query("select typarray from pg_type where typarray > 0 and oid not in (20,21,23,25,700,701,1043)")).rows; for (const { typarray } of rows) { delete client.parsers[typarray]; } console.log(Object.keys(client.parsers).length); }
let T=0;
const ctx = await readShopContext();
let { length: seq } = await (await import("@/server/repositories/entries")).entriesOf(shop.db, 109);
for (let i = 0; i < 60; i++) { log.length = 0; n=0; const t=performance.now(); const c = await readShopContext(); const r = await recordEntry(109, { entryId: randomUUID(), expectedSeq: seq, kind: "note", stage: "measure", by: "zz", payload: { text: "a" } } as any, new Date().toISOString(), c); await journalled(); if (!r.ok) console.log(r); seq++; if (i>=10) T+=performance.now()-t; if (i===59) console.log(performance.now()-t, "protocol calls", n); }
console.log("mean", T/50);
console.log(log.map(([s,t])=>t.toFixed(2)+" "+s).join("\n"));
await shop.close(); process.exit(0);
