import { makeLargeShop } from "./lib/large-shop";
import { ensureSnapshot } from "./lib/prepare.mjs";
ensureSnapshot();
const [folder, jobs, pictures] = process.argv.slice(2);
const t=Date.now();
await makeLargeShop(folder!, { jobs: Number(jobs), pictures: Number(pictures), here: 150, linesAJob: 30 });
console.log((Date.now()-t)/1000);
process.exit(0);
