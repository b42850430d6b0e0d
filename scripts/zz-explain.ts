import { openFolder } from "@/server/db/connect";
const t0=performance.now();
const shop = await openFolder(process.argv[2]!, "zz");
console.log("open", performance.now()-t0);
const client = (shop.db as any).$client;
const ids=Array.from({length:100},(_, i)=>30000+i);
for (const q of [
`select job_id, max(seq) from entries where job_id in (${ids}) group by job_id`,
`select string_agg(row_to_json(e)::text, E'\\n' order by e.job_id, e.seq) as text from entries e where e.job_id = any('{${ids}}'::int[])`,
`select id from jobs where id in (${ids}) order by id for update`,
`select id,name from owners where id in (${ids}) for share`,
]) {
for (const _ of [1,2]) { const t=performance.now(); await client.query(q); console.log((performance.now()-t).toFixed(1)); }
const r = await client.query("explain "+q); console.log(r.rows.map((x:any)=>x["QUERY PLAN"]).join("\n")); console.log(); }
const t1=performance.now(); const ctx=await (await import("@/server/services/shop-context")).shopContextOn(shop.db);
await shop.close(); process.exit(0);
