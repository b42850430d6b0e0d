import { measureLoad } from "./lib/measure-load";
await measureLoad({ jobs: Number(process.argv[3]), pictures: 1, folder: process.argv[2]!, port: 47391 });
process.exit(0);
