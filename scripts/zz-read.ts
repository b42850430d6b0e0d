import { openFolder } from "@/server/db/connect";
const shop = await openFolder(process.argv[2]!, "zz");
await shop.checked;
const client = (shop.db as any).$client;
const T: Record<string,number> = {};
const time = async <X,>(n: string, f: () => X | Promise<X>): Promise<X> => { const t = performance.now(); const r = await f(); T[n] = (T[n] ?? 0) + performance.now() - t; return r; };
const cols="entry_id,job_id,seq,kind,kind_version,stage,payload,shown,knowledge_version,settings_version,at,by,posted_hash";
for (let i = 0; i < 10; i++) {
  const [a,b]=[1001+i*100,1100+i*100];
  const q=async(n:string,sel:string,ord="")=>{ await time(n, async()=>{ const r=await client.query(`select ${sel} as t from entries e where job_id between ${a} and ${b} ${ord}`); return r.rows[0].t; }); };
  await q("json_agg build_array", `json_agg(json_build_array(${cols}) order by job_id,seq)`);
  await q("json_agg(e)", `json_agg(e order by job_id,seq)`);
  await q("string_agg row_to_json", `string_agg(row_to_json(e)::text, E'\\n' order by job_id,seq)`);
  await q("string_agg concat", `string_agg(concat_ws(E'\\t',job_id,seq,kind,kind_version,stage,coalesce(shown::text,''),knowledge_version,settings_version,at,to_json(by)::text,coalesce(posted_hash,''),entry_id,payload), E'\\n' order by job_id,seq)`);
  await q("string_agg tuple e::text", `string_agg(e::text, E'\\n' order by job_id,seq)`);
  await q("array_agg payload", `array_agg(payload::text)`);
}
console.log(Object.entries(T).map(([k, v]) => `${k} ${(v / 1000).toFixed(2)} ms a job`).join("\n"));
await shop.close(); process.exit(0);
