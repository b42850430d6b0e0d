import { execFileSync, spawn } from "node:child_process";
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir, userInfo } from "node:os";
import { join } from "node:path";

const ROOT = "/usr/lib/postgresql";

/** Where Debian keeps the server's programs; undefined where there is no server. */
export function postgresPrograms(): string | undefined {
  const versions = existsSync(ROOT)
    ? readdirSync(ROOT).sort((one, other) => Number(other) - Number(one))
    : [];
  return versions.map((version) => join(ROOT, version, "bin")).find((bin) => existsSync(join(bin, "initdb")));
}

export interface TemporaryServer {
  readonly url: string;
  stop(): void;
}

/** A PostgreSQL server of the test's own, on a socket in a folder of its own. It refuses to run as root. */
export async function startPostgres(bin: string): Promise<TemporaryServer> {
  const folder = mkdtempSync(join(tmpdir(), "spindle-pg-"));
  const isRoot = userInfo().uid === 0;
  const uid = isRoot ? Number(execFileSync("id", ["-u", "postgres"], { encoding: "utf8" })) : userInfo().uid;
  const gid = isRoot ? Number(execFileSync("id", ["-g", "postgres"], { encoding: "utf8" })) : userInfo().gid;
  chownSync(folder, uid, gid);
  const data = join(folder, "data");
  const as = { uid, gid, cwd: folder, stdio: "ignore" } as const;
  execFileSync(join(bin, "initdb"), ["-D", data, "-U", "spindle", "-A", "trust", "--no-sync"], as);
  const server = spawn(
    join(bin, "postgres"),
    ["-D", data, "-k", folder, "-c", "listen_addresses=", "-c", "fsync=off"],
    as,
  );
  for (let tries = 0; tries < 100 && !existsSync(join(folder, ".s.PGSQL.5432")); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 100));
  return {
    url: `postgresql://spindle@localhost/postgres?host=${encodeURIComponent(folder)}`,
    stop: () => {
      server.kill("SIGKILL");
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
