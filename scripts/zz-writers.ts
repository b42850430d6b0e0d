import { mkdtempSync, readFileSync } from "node:fs";
import { keepNote, seqOf } from "./lib/keep-note";
import { quantile } from "./lib/measured";
import { startServer } from "./lib/prepare.mjs";
const given = process.argv[2];
const data = given ?? mkdtempSync("/tmp/zz-w-"); const { spawn } = await import("node:child_process"); void startServer; const address = "http://127.0.0.1:47390"; const child = spawn(process.execPath, [...(process.env.PROF ? ["--cpu-prof", `--cpu-prof-dir=${process.env.PROF}`] : []), "dist/server/serve.mjs"], { env: { ...process.env, HOST: "127.0.0.1", PORT: "47390", GOOD_SPINDLE_DATA: data, GOOD_SPINDLE_SEED: given ? "none" : "demo", GOOD_SPINDLE_METER: "", ASTRO_NODE_LOGGING: "disabled" }, stdio: "inherit" }); for (;;) { const a = await fetch(`${address}/api/health`).catch(() => undefined); if (a?.ok) break; await new Promise((r) => setTimeout(r, 200)); }
const cpu=()=>{const s=readFileSync(`/proc/${child.pid}/stat`,"utf8").split(" "); return (Number(s[13])+Number(s[14]))*10;};
const alone: number[] = []; let seq = await seqOf(address, 109);
for (let i=0;i<150;i++){ const k=await keepNote(address,109,seq); seq=k.seq; alone.push(k.ms);} alone.sort((a,b)=>a-b);
console.log("alone", quantile(alone,.5).toFixed(1), quantile(alone,.95).toFixed(1));
const writers = async (ms: number) => { const until=Date.now()+ms; const c0=cpu(); const n = await Promise.all([101,102,103,104,105,106,107,108].map(async job=>{let [line,c]=[await seqOf(address,job),0]; while(Date.now()<until){line=(await keepNote(address,job,line)).seq;c++;} return c;})); const s=n.reduce((a,b)=>a+b,0); console.log(`8 writers ${(s/(ms/1000)).toFixed(0)}/s, server cpu ${(((cpu()-c0))/s).toFixed(1)} ms each`); };
await writers(10000); await writers(10000);
if (process.argv[3]) {
  const t=Date.now(); let done=false;
  const b=(async()=>{ await fetch(`${address}/api/backups`,{method:"POST"}); for(;;){ const {work}=await (await fetch(`${address}/api/backups`)).json() as any; if(work?.isDone){console.log("backup", (Date.now()-t)/1000, work.trouble); done=true; return;} await new Promise(r=>setTimeout(r,500)); } })();
  while(!done) await writers(5000);
  await b;
}
child.kill("SIGTERM"); await new Promise(r=>child.once("exit",r)); process.exit(0);
