import { mkdtempSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { accessCode, tryCode } from "@/server/services/access";
import { endSessions, isSession, newSession, shownSessions } from "@/server/services/sessions";

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
    const { token } = newSession(NOW, "10.0.0.7");
    const [id = "", until = "", signature = ""] = token.split(".");
    expect(isSession(token, NOW)).toBe(true);
    expect(isSession(token, NOW + 31 * 24 * 3600 * 1000)).toBe(false);
    expect(isSession(`${id}.${Number(until) + 1}.${signature}`, NOW)).toBe(false);
    expect(isSession(`${until}.${signature}`, NOW)).toBe(false);
    for (const made of [undefined, "", "x", "9999999999999.x", `${id}.${until}.`, `.${signature}`])
      expect(isSession(made, NOW)).toBe(false);
  });

  it("is ended alone or with all others, for good, and is listed while it holds", () => {
    const [one, other, third] = ["10.0.0.8", "10.0.0.9", "10.0.0.10"].map(
      (address) => newSession(NOW, address).token,
    );
    const shown = shownSessions(one, NOW);
    expect(shown.slice(0, 3).map(({ address, isThis }) => [address, isThis])).toEqual([
      ["10.0.0.10", false],
      ["10.0.0.9", false],
      ["10.0.0.8", true],
    ]);
    endSessions([shown[0]?.id ?? ""]);
    expect([one, other, third].map((token) => isSession(token, NOW))).toEqual([true, true, false]);
    endSessions(shown.filter(({ isThis }) => !isThis).map(({ id }) => id));
    expect([one, other, third].map((token) => isSession(token, NOW))).toEqual([true, false, false]);
    expect(shownSessions(one, NOW).map(({ isThis }) => isThis)).toEqual([true]);
    // Another code ends every one.
    rmSync(join(folder, "access-code"));
    expect(isSession(one, NOW)).toBe(false);
  });

  it("is not kept in a file that cannot be read: said by name, and everybody enters the code again", () => {
    const said = vi.spyOn(console, "error").mockReturnValue();
    const other = mkdtempSync(join(tmpdir(), "spindle-access-"));
    process.env["GOOD_SPINDLE_DATA"] = other;
    writeFileSync(join(other, "sessions.json"), "x{");
    expect(shownSessions(undefined, NOW)).toEqual([]);
    expect(said.mock.calls[0]?.[0]).toMatch(/sessions\.json cannot be read: every device/);
    expect(isSession(newSession(NOW, "10.0.0.8").token, NOW)).toBe(true);
    writeFileSync(join(other, "access-code"), "\u0001\u0002ab");
    expect(() => accessCode()).toThrow(/access-code cannot be read, or is too short/);
    process.env["GOOD_SPINDLE_DATA"] = folder;
    rmSync(other, { recursive: true });
    said.mockRestore();
  });
});
