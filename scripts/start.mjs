// npm start: everything from a fresh clone to a running shop.
import { readFileSync } from "node:fs";
import { createServer } from "node:net";
import { constants, networkInterfaces } from "node:os";
import { join, resolve } from "node:path";
import { parseArgs } from "node:util";
import { ensureBuilt, ensureInstalled, ensureSnapshot, fail, startServer } from "./lib/prepare.mjs";

const USAGE = `npm start -- [options]
  --empty          an empty shop instead of the demo one (new data folder only)
  --port N         port, 4321 when not given
  --data DIR       data folder, ./data when not given
  --anchor DATE    the moment the demo dates are counted from, such as 2026-11-25T09:00:00Z
  --host ADDRESS   serve on the workshop's network; visitors then need the access code`;

function options() {
  try {
    const { values } = parseArgs({
      options: {
        empty: { type: "boolean", default: false },
        port: { type: "string", default: "4321" },
        data: { type: "string", default: "data" },
        anchor: { type: "string" },
        host: { type: "string" },
        help: { type: "boolean", default: false },
      },
    });
    return values;
  } catch (error) {
    return fail(`${error.message}\n\n${USAGE}`);
  }
}

function checkedPort(text) {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    fail(`--port "${text}" is not a port: give a number from 1 to 65535.`);
  return port;
}

function isFree(port, host) {
  return new Promise((done) => {
    const probe = createServer();
    probe.once("error", () => done(false));
    probe.listen(port, host, () => probe.close(() => done(true)));
  });
}

/** Names the server will answer to beside this machine itself. */
function namesOf(host) {
  if (host !== "0.0.0.0" && host !== "::") return [host.includes(":") ? `[${host}]` : host];
  return Object.values(networkInterfaces())
    .flat()
    .filter((one) => one && !one.internal && one.family === "IPv4")
    .map((one) => one.address);
}

async function showAccess(data, names, port) {
  const code = readFileSync(join(data, "access-code"), "utf8").trim();
  const address = `http://${names[0] ?? "127.0.0.1"}:${port}/access#${code}`;
  const { default: qrcode } = await import("qrcode");
  console.log(await qrcode.toString(address, { type: "terminal", small: true }));
  console.log(`Access code: ${code}   (it is in the picture above too)`);
  for (const name of names) console.log(`On the workshop's network: http://${name}:${port}`);
}

const asked = options();
if (asked.help) {
  console.log(USAGE);
  process.exit(0);
}
const port = checkedPort(asked.port);
const anchor = asked.anchor ? new Date(asked.anchor) : undefined;
if (anchor && Number.isNaN(anchor.getTime()))
  fail(`--anchor "${asked.anchor}" is not a moment: write it as 2026-11-25T09:00:00Z.`);
const host = asked.host ?? "127.0.0.1";
const data = resolve(asked.data);
if (!(await isFree(port, host)))
  fail(
    `Port ${port} on ${host} is taken, perhaps by a Good Spindle that runs already. Choose another: npm start -- --port ${port + 1}`,
  );

ensureInstalled();
ensureSnapshot();
ensureBuilt();
try {
  const names = asked.host ? namesOf(host) : [];
  const { child, address } = await startServer({
    host,
    port,
    data,
    seed: asked.empty ? "none" : "demo",
    anchor: anchor?.toISOString(),
    hosts: names.join(","),
    access: Boolean(asked.host),
  });
  for (const signal of ["SIGINT", "SIGTERM"])
    process.on(signal, () => {
      child.kill("SIGTERM");
      setTimeout(() => child.kill("SIGKILL"), 4_500).unref();
    });
  child.once("exit", (code, signal) => process.exit(code ?? 128 + (constants.signals[signal] ?? 0)));
  if (asked.host) await showAccess(data, names, port);
  // Said last: from here on a stop is heard.
  console.log(`Good Spindle is ready: ${address}   (data in ${data}; stop with Ctrl+C)`);
} catch (error) {
  fail(`Good Spindle did not start: ${error.message}.`, error.exitCode);
}
