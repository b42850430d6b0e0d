import { openFolder } from "@/server/db/connect";
const shop = await openFolder(process.argv[2]!, "zz");
await shop.checked;
const client = (shop.db as any).$client;
const t0=performance.now();
const ids=Array.from({length:33},(_, i)=>3000+i);
for (const q of [`explain analyze select count(*)::int as count, coalesce(string_agg(row_to_json(e)::text, E'\\n' order by e.job_id, e.seq), '') as text from unnest('{${ids}}'::int[], '{${ids.map(()=>30)}}'::int[]) as cut (job, last) join entries e on e.job_id = cut.job and e.seq <= cut.last`,
`explain analyze select string_agg(row_to_json(e)::text, E'\\n' order by e.job_id, e.seq) as text from entries e where e.job_id = any('{${ids}}'::int[])`,
`explain analyze select * from jobs left join job_facts on job_facts.job_id=jobs.id where jobs.id > 3000 and job_facts.job_id is null order by jobs.id limit 100`]) {
const r = await client.query(q); console.log(r.rows.map((x:any)=>x["QUERY PLAN"]).join("\n")); console.log(); }
await shop.close(); process.exit(0);
