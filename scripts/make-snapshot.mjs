// An empty database, as a folder to copy and as an archive for memory, so that a new one opens in a second instead of eight.
import { mkdirSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { PGlite } from "@electric-sql/pglite";

const FOLDER = ".cache/empty-database";
mkdirSync(".cache", { recursive: true });
rmSync(`${FOLDER}.part`, { recursive: true, force: true });
rmSync(FOLDER, { recursive: true, force: true });
const client = await PGlite.create(`${FOLDER}.part`);
const dump = await client.dumpDataDir("gzip");
await client.close();
writeFileSync(`${FOLDER}.tar.gz.part`, Buffer.from(await dump.arrayBuffer()));
renameSync(`${FOLDER}.part`, FOLDER);
renameSync(`${FOLDER}.tar.gz.part`, `${FOLDER}.tar.gz`);
