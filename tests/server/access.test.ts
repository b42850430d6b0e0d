import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { accessCode, isSession, newSession, tryCode } from "@/server/services/access";

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "spindle-access-"));
  process.env["GOOD_SPINDLE_DATA"] = folder;
});
afterAll(() => {
  delete process.env["GOOD_SPINDLE_DATA"];
  rmSync(folder, { recursive: true });
});

const NOW = Date.parse("2026-11-25T09:00:00Z");

describe("the access code", () => {
  it("is made once, kept where only its owner reads it, and has no letter that is misread", () => {
    const code = accessCode();
    expect(code).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
    expect(accessCode()).toBe(code);
    expect(statSync(join(folder, "access-code")).mode & 0o777).toBe(0o600);
  });

  it("is taken in small letters and with a space around it", () => {
    expect(tryCode(` ${accessCode().toLowerCase()} `, "a", NOW)).toEqual({ kind: "right" });
  });

  it("five wrong tries lock that address for a minute, and no other", () => {
    const kinds = Array.from({ length: 5 }, () => tryCode("WRONG", "b", NOW));
    expect(kinds.map(({ kind }) => kind)).toEqual(["wrong", "wrong", "wrong", "wrong", "locked"]);
    expect(tryCode(accessCode(), "b", NOW + 59_000)).toEqual({ kind: "locked", seconds: 1 });
    expect(tryCode(accessCode(), "c", NOW)).toEqual({ kind: "right" });
    expect(tryCode(accessCode(), "b", NOW + 60_000)).toEqual({ kind: "right" });
  });
});

describe("a session", () => {
  it("lasts thirty days and cannot be made up or stretched", () => {
    const { token } = newSession(NOW);
    const [until = "", signature = ""] = token.split(".");
    expect(isSession(token, NOW)).toBe(true);
    expect(isSession(token, NOW + 31 * 24 * 3600 * 1000)).toBe(false);
    expect(isSession(`${Number(until) + 1}.${signature}`, NOW)).toBe(false);
    for (const made of [undefined, "", "x", "9999999999999.x", `${until}.`, `.${signature}`])
      expect(isSession(made, NOW)).toBe(false);
  });
});
