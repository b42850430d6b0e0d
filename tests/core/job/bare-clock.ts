import type { Entry } from "@/core/job/log/entry";
import { BareList } from "./bare-danger-list";

/** Since when power is on, and how long a run can have lasted, read from the lines one after the other. */
export abstract class BareClock extends BareList {
  protected isPluggedIn = false;
  protected isBatteryIn = false;
  protected clips = new Set<string>();
  private onSince = "";
  private offAt = "";
  private lastEnd = "";
  /** When the line that is read was written. */
  protected at = "";
  readonly lasted = new Map<number, number>();

  protected abstract isOnBattery(): boolean;

  protected doubt(): void {
    this.isPluggedIn = false;
  }

  protected powered(isNow: boolean, line: number): void {
    if (!isNow) {
      this.doubt();
      return;
    }
    this.underClips(line);
    if (this.isOnBattery()) this.isBatteryIn = true;
    else this.isPluggedIn = true;
  }

  protected underClips(line: number): void {
    for (const id of this.clips) this.open("clip-under-power", id, line, `clip ${id}`, [], true, false);
  }

  /** What happens at the machine ends whatever run went before it. */
  protected override happened(kind: string, line: number, struck: boolean): void {
    if (!struck) this.lastEnd = this.at;
    super.happened(kind, line, struck);
  }

  protected tick(entry: Entry, isStruck: boolean): void {
    if (!this.isPluggedIn && !this.isBatteryIn) {
      this.onSince = "";
      const said = entry.kind === "bench-state" && !isStruck ? entry.payload.event : "";
      if (["unplugged", "isolated", "battery"].includes(said)) this.offAt = entry.at;
    } else if (this.onSince === "") {
      const isOwn = this.isOnBattery() && entry.kind !== "bench-state";
      this.onSince = isOwn && this.offAt !== "" ? this.offAt : entry.at;
    }
  }

  /** Minutes that a run may count, what is typed being rounded up to the next one. */
  protected lastedFor(entry: Entry, minutes: number): number {
    this.tick(entry, false);
    const from = Math.max(...[this.onSince, this.lastEnd].map((at) => (at === "" ? 0 : Date.parse(at))));
    this.lastEnd = entry.at;
    const until = Date.parse(entry.at);
    const most = Math.max(0, until - (from === 0 ? until : from)) / 60_000 + 1;
    this.lasted.set(entry.seq, Math.min(minutes, most));
    return Math.min(minutes, most);
  }
}
