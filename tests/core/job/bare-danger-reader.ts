import type { Entry } from "@/core/job/log/entry";
import { BareClock } from "./bare-clock";
import {
  type Bare,
  CHECKS,
  FOUND,
  GOOD,
  REASONS,
  SAFE_VOLTS,
  SIGNS,
  SLIP_MS,
  TRIPS,
} from "./bare-danger-tables";

/** The log read from its beginning, each line with what it still says once struck lines are struck. */
function readerOf(entries: readonly Entry[]): Reader {
  const dead = new Map<number, Entry>();
  for (const entry of entries) {
    if (entry.kind === "struck") dead.set(entry.payload.seq, entry);
    if (entry.kind === "restored") dead.delete(entry.payload.seq);
  }
  return new Reader(entries, dead);
}

/** All dangers of a log, open and closed. */
export function bareDangers(entries: readonly Entry[]): readonly Bare[] {
  return readerOf(entries).dangers;
}

/** Minutes that each run made now counts at the most. */
export function bareRunMinutes(entries: readonly Entry[]): ReadonlyMap<number, number> {
  return readerOf(entries).lasted;
}

/** Within the seconds of undo; a clock that was set back says nothing. */
function isSoon(entry: Entry, strike: Entry): boolean {
  const since = Date.parse(strike.at) - Date.parse(entry.at);
  return since >= 0 && since <= SLIP_MS;
}

class Reader extends BareClock {
  private readonly chosen = new Set<string>();
  private readonly off = new Map<number, { what: string; sort: string; count: number; back: number }>();
  private taken: { readonly isLow: boolean } | undefined;
  private isCarriedIn = false;
  private plateVolts = 0;

  constructor(
    private readonly entries: readonly Entry[],
    private readonly dead: ReadonlyMap<number, Entry>,
  ) {
    super();
    const last = entries.findLast((one) => one.kind === "taken-in" && !dead.has(one.seq));
    if (last?.kind === "taken-in")
      this.runsOn = last.payload.hazards.some((id) => id === "blades" || id === "coasting");
    for (const entry of entries) {
      const strike = dead.get(entry.seq);
      [this.now, this.at] = [entry.seq, entry.at];
      this.strike = strike?.seq ?? 0;
      if (strike) this.struckLine(entry, isSoon(entry, strike));
      else this.line(entry);
      this.tick(entry, strike !== undefined);
    }
  }

  get dangers(): readonly Bare[] {
    return this.list;
  }

  /** What it took away stays, what it gave goes. */
  private struckLine(entry: Entry, isSlip: boolean): void {
    const { kind, payload, seq } = entry;
    if (kind === "bench-state" && payload.event === "incident")
      this.happens(payload.what, seq, isSlip && payload.what === "smell");
    if (kind === "bench-state" && (payload.event === "stored-volts" || payload.event === "isolated"))
      this.volts(
        payload.event === "isolated" ? "live" : "charged",
        payload.event === "isolated" ? "supply" : payload.id,
        payload.volts,
        seq,
        true,
      );
    if (kind === "answer") {
      const trip = TRIPS.get(`${payload.moveId}:${payload.outcomeId}`);
      if (trip !== undefined) this.happened(trip, seq, true);
      if (!isSlip) this.found(payload.moveId, payload.outcomeId, seq, true);
    }
    if (kind === "complaint") {
      const opens = payload.signs.flatMap((sign) => SIGNS.get(sign) ?? []);
      for (const told of opens)
        this.open(
          told,
          "door",
          seq,
          "run",
          told === "told-trip" ? ["any"] : [],
          false,
          true,
          payload.afterMinutes ?? 0,
        );
    }
    if (kind === "reading" && payload.of === "dead-check" && payload.verdict === "failed" && !isSlip)
      this.failedCheck(payload.checkId, seq, true);
    // What came in with the machine is open, whoever wrote its first line wrongly.
    if (kind === "taken-in" && !this.isCarriedIn) {
      const isTold = payload.carried.some((one) => one.kind.startsWith("told-"));
      if (!isSlip || isTold) this.carriedIn(payload.carried, seq, true);
    }
    if (isSlip) return;
    // A clip that was said to be on is on until it is said to be off.
    if (kind === "bench-state" && payload.event === "stored-clip") this.clips.add(payload.id);
    if (kind === "acceptance-run" && payload.result !== "gone") this.ran(false, 0, true);
    if (kind === "intervention") {
      this.work();
      this.opensOfWork(payload.faultIds, seq, true);
    }
    if (kind === "reopened" || kind === "unreadable") this.work();
    if (kind === "reopened") this.wasAway();
    if (kind === "removed" && this.isWork(payload.sort)) this.work();
    if (kind === "refitted") this.refit(payload, seq, true);
    if (kind === "part-chosen" && payload.fit === "temporary")
      this.open("temporary", payload.forPart, seq, `next ${payload.forPart}`, [], true, true);
    if (kind === "nameplate") this.plate(payload, seq, true);
    if (kind === "taken-in" && this.isOther(entry)) this.work();
    if (kind === "taken-in" && this.isContradiction(this.isLow(payload)))
      this.open("contradiction", "plate", seq, "plate", [], true, true);
  }

  private happens(what: string, line: number, isSlip: boolean): void {
    if (!isSlip) this.happened(what, line, true);
  }

  private line(entry: Entry): void {
    const { kind, payload, seq } = entry;
    switch (kind) {
      case "complaint":
        for (const told of payload.signs.flatMap((sign) => SIGNS.get(sign) ?? []))
          this.open(
            told,
            "door",
            seq,
            "run",
            told === "told-trip" ? ["any"] : [],
            false,
            false,
            payload.afterMinutes ?? 0,
          );
        break;
      case "answer":
        this.answered(payload, seq);
        break;
      case "reading":
        if (payload.of === "dead-check") this.checked(payload, seq);
        break;
      case "bench-state":
        this.bench(payload, seq);
        break;
      case "acceptance-run":
        this.powered(payload.taken === "now", seq);
        if (payload.result !== "gone" || payload.taken === "now")
          this.ran(payload.result === "gone", this.lastedFor(entry, payload.minutes));
        if (
          payload.result === "gone" &&
          payload.taken === "now" &&
          payload.figures.some((one) => one.quantity === "time" && one.after.trim() !== "")
        )
          this.pass("stop");
        break;
      case "intervention":
        this.repaired(payload.faultIds, seq);
        break;
      case "reopened":
        this.work();
        this.wasAway();
        this.doubt();
        this.mendedBefore = new Set();
        break;
      case "unreadable":
        this.work();
        break;
      case "removed":
        if (this.isWork(payload.sort)) this.work();
        this.off.set(seq, { what: payload.what, sort: payload.sort, count: payload.count, back: 0 });
        break;
      case "refitted":
        this.refit(payload, seq, false);
        break;
      case "part-chosen":
        this.pass(`choice ${payload.forPart}`);
        if (payload.fit !== "temporary") this.pass(`next ${payload.forPart}`);
        if (payload.fit === "temporary")
          this.open("temporary", payload.forPart, seq, `next ${payload.forPart}`, [], true, false);
        this.chosen.add(payload.forPart);
        break;
      case "nameplate":
        this.plate(payload, seq, false);
        if (payload.plate === "motor") this.plateVolts = Number(payload.volts) || 0;
        break;
      case "taken-in":
        this.takenIn(entry);
        break;
      case "signed-off":
        if (this.isPluggedIn) this.open("left-plugged-in", "plug", seq, "plug out", [], true, false);
        break;
      case "struck":
      case "restored":
        if (this.toldOfPower(payload.seq)) this.doubt();
        break;
      default:
    }
  }

  private toldOfPower(seq: number): boolean {
    const entry = this.entries.find((one) => one.seq === seq);
    if (entry === undefined || seq >= this.entries.length) return false;
    if (entry.kind === "answer")
      return (
        ["switch-on", "clamp-current", "volts-at-motor", "relay-volts", "other-circuit"].includes(
          entry.payload.moveId,
        ) && entry.payload.outcomeId !== "could-not"
      );
    if (entry.kind === "reading") return "checkId" in entry.payload && entry.payload.checkId === "leakage";
    return ["bench-state", "acceptance-run", "reopened", "unreadable"].includes(entry.kind);
  }

  protected isOnBattery(): boolean {
    const last = this.entries.findLast((one) => one.kind === "taken-in" && !this.dead.has(one.seq));
    return last?.kind === "taken-in" && last.payload.connection === "battery";
  }

  private isFixed(): boolean {
    const last = this.entries.findLast((one) => one.kind === "taken-in" && !this.dead.has(one.seq));
    return last?.kind === "taken-in" && last.payload.connection === "fixed";
  }

  private answered(
    { moveId, outcomeId, taken }: Extract<Entry, { kind: "answer" }>["payload"],
    line: number,
  ): void {
    if (outcomeId === "could-not") return;
    if (["switch-on", "clamp-current", "volts-at-motor", "relay-volts", "other-circuit"].includes(moveId))
      this.powered(taken === "now", line);
    const trip = TRIPS.get(`${moveId}:${outcomeId}`);
    if (trip !== undefined) this.happened(trip, line, false);
    this.found(moveId, outcomeId, line, false);
  }

  private found(moveId: string, outcomeId: string, line: number, struck: boolean): void {
    const key = `${moveId}:${outcomeId}`;
    const found = FOUND.get(key);
    if (found && !struck) this.reason(found.mends, found.does);
    if (found) this.open(found.kind, found.test, line, found.test, found.mends, false, struck);
    if (struck) return;
    const good = GOOD.get(key);
    if (good !== undefined) this.pass(good);
    const reason = REASONS.get(key);
    if (reason) this.reason([reason[0]], reason[1], reason[2]);
  }

  private failedCheck(id: string, line: number, struck: boolean): void {
    const row = CHECKS.get(id);
    if (!row) return;
    if (!struck) this.reason(row[1], row[2]);
    this.open(row[0], id, line, id, row[1], false, struck);
  }

  private checked(
    {
      checkId,
      verdict,
      taken,
    }: { readonly checkId: string; readonly verdict: string; readonly taken: string },
    line: number,
  ): void {
    if (checkId === "leakage") this.powered(taken === "now", line);
    if (verdict === "failed") this.failedCheck(checkId, line, false);
    if (verdict !== "passed" || (checkId === "leakage" && taken === "afterwards")) return;
    this.pass(checkId);
    if (checkId === "insulation") this.pass("ohms-to-metal");
  }

  private bench(said: Extract<Entry, { kind: "bench-state" }>["payload"], line: number): void {
    switch (said.event) {
      case "incident":
        this.doubt();
        this.happened(said.what, line, false);
        break;
      case "plugged-in":
        this.underClips(line);
        this.isPluggedIn = true;
        break;
      case "not-known":
        this.doubt();
        break;
      case "unplugged":
        this.pass("plug out");
        if (!this.isFixed()) this.isPluggedIn = false;
        break;
      case "isolated":
        this.volts("live", "supply", said.volts, line, false);
        this.pass("plug out");
        this.isPluggedIn = false;
        break;
      case "battery":
        this.isBatteryIn = said.is === "in";
        if (this.isBatteryIn) this.underClips(line);
        break;
      case "stored-volts":
        // Read while power was on, it is the end of nothing.
        if ((this.isPluggedIn || this.isBatteryIn) && Math.abs(said.volts) <= SAFE_VOLTS) break;
        this.volts("charged", said.id, said.volts, line, false);
        break;
      case "stored-clip":
        this.clips.add(said.id);
        break;
      case "clips-off":
        for (const id of this.clips) this.pass(`clip ${id}`);
        this.clips = new Set();
        break;
      default:
    }
  }

  private isWork(sort: string): boolean {
    return !["cover", "fastener", "mark"].includes(sort);
  }

  private refit(
    payload: Extract<Entry, { kind: "refitted" }>["payload"],
    line: number,
    struck: boolean,
  ): void {
    const off = this.off.get(payload.line);
    if (!off) return;
    const test = `back ${payload.line}`;
    if (this.isWork(off.sort) || (payload.protects === "earth" && payload.how !== "left-out")) this.work();
    if (payload.how === "left-out") {
      if (payload.protects !== "none") this.open("left-out", test, line, test, [], true, struck);
      return;
    }
    if (struck) return;
    off.back += payload.count ?? off.count;
    if (off.back >= off.count) {
      this.pass(test);
      this.pass(`fitted ${off.what}`);
    }
  }

  private plate(
    payload: Extract<Entry, { kind: "nameplate" }>["payload"],
    line: number,
    struck: boolean,
  ): void {
    for (const part of this.chosen)
      if (payload.plate === "motor" || payload.id === part)
        this.open("asked-anew", part, line, `choice ${part}`, [], true, struck);
    if (payload.plate !== "motor" || this.taken === undefined) return;
    if (this.taken.isLow && Number(payload.volts) > 50)
      this.open("contradiction", "plate", line, "plate", [], true, struck);
    else if (!struck) this.pass("plate");
  }

  private isLow({
    protectionClass,
    connection,
  }: {
    readonly protectionClass: string;
    readonly connection: string;
  }): boolean {
    return protectionClass === "class-3" || protectionClass === "battery" || connection === "battery";
  }

  private isContradiction(isLow: boolean): boolean {
    return isLow && this.plateVolts > 50;
  }

  private isOther(entry: Extract<Entry, { kind: "taken-in" }>): boolean {
    const before = this.entries.findLast(
      (one) => one.kind === "taken-in" && one.seq < entry.seq && !this.dead.has(one.seq),
    );
    if (before?.kind !== "taken-in") return false;
    const [old, now] = [before.payload, entry.payload];
    return (
      old.protectionClass !== now.protectionClass ||
      old.connection !== now.connection ||
      old.heater !== now.heater
    );
  }

  private takenIn(entry: Extract<Entry, { kind: "taken-in" }>): void {
    const { payload, seq } = entry;
    if (this.isOther(entry)) this.work();
    if (!this.isCarriedIn) this.carriedIn(payload.carried, seq, false);
    this.isCarriedIn = true;
    this.taken = { isLow: this.isLow(payload) };
    if (this.isContradiction(this.taken.isLow))
      this.open("contradiction", "plate", seq, "plate", [], true, false);
    else this.pass("plate");
  }
}
