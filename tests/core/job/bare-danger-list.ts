import type { TakenIn } from "@/core/job/log/entry";
import {
  type Bare,
  BLOWN,
  BLOWS_THE_FUSE,
  NEVER_MISREAD,
  OWN_REMEDY,
  SAFE_VOLTS,
  SPOILS_INSULATION_NOT,
  STATION,
} from "./bare-danger-tables";

/** Dangers as they are opened, mended and closed, whatever line says so. */
export class BareList {
  protected list: Bare[] = [];
  /** Faults mended on this visit. */
  protected mendedBefore = new Set<string>();
  /** The line that is read, and the one that struck it out. */
  protected now = 0;
  protected strike = 0;
  /** It runs on after the switch is off. */
  protected runsOn = false;

  protected open(
    kind: string,
    place: string,
    line: number,
    test: string,
    mendedBy: readonly string[],
    isOwn: boolean,
    struck: boolean,
    lasts = 0,
  ): void {
    const happens = ["trip", "residual-trip", "smoke", "smell", "tingle"].includes(kind);
    const same = happens
      ? undefined
      : this.list.find((one) => one.open && one.kind === kind && one.place === place);
    if (same && struck) {
      this.openedInVain(same);
      return;
    }
    if (same && kind.startsWith("told-")) {
      same.struck = 0;
      same.lasts = Math.max(same.lasts, lasts);
      return;
    }
    this.list = this.list.filter((one) => one !== same);
    this.list.push({
      kind,
      place,
      line,
      mendedBy: new Set(mendedBy),
      test,
      mended: isOwn,
      mendedFrom: 0,
      passes: 0,
      lasts,
      struck: struck ? this.strike : 0,
      open: true,
    });
  }

  /** Struck out: it does not give back what it took from one that was mended. */
  private openedInVain(same: Bare): void {
    const isOwn = same.mended && !same.kind.startsWith("told-") && !OWN_REMEDY.includes(same.kind);
    if (same.struck === 0 && !isOwn) return;
    if (isOwn) same.mended = false;
    same.passes = 0;
    same.struck = Math.max(same.struck, this.strike);
  }

  protected carriedIn(carried: TakenIn["carried"], seq: number, struck: boolean): void {
    for (const { kind, place, test, faults, stations, spoils, isMended, afterMinutes } of carried)
      this.open(
        kind,
        place.replace(/^check:/, ""),
        seq,
        test.replace(/^check:/, "").replace(/^fitted:/, "fitted "),
        [
          ...faults,
          ...stations.map((id) => `station:${id}`),
          ...spoils.map((id) => `spoils:${id}`),
          ...(kind === "told-trip" ? ["any"] : []),
        ],
        isMended || kind === "left-out",
        struck,
        afterMinutes,
      );
  }

  protected pass(test: string): void {
    for (const one of this.list) {
      if (!one.open || one.test !== test) continue;
      if (this.now > one.struck) one.passes += 1;
      if (one.mended || (one.struck > 0 && !NEVER_MISREAD.includes(one.kind) && one.passes >= 2))
        one.open = false;
    }
  }

  /** It was away: nobody saw it run with what was mended before. */
  protected wasAway(): void {
    for (const one of this.list) if (one.open && one.test === "run") one.mended = false;
  }

  protected work(): void {
    for (const one of this.list) if (one.open) one.passes = 0;
  }

  protected reason(mends: readonly string[], does: readonly string[], outside = false): void {
    for (const one of this.list) {
      const told = one.kind.startsWith("told-");
      if (!one.open || one.test !== "run" || !does.includes(told ? one.kind.slice(5) : one.kind)) continue;
      if (one.kind === "root") continue;
      if (!outside) for (const each of mends) one.mendedBy.add(each);
      else one.mended = true;
    }
  }

  protected happened(kind: string, line: number, struck: boolean): void {
    this.ran(false, 0, struck);
    this.open(kind, "here", line, "run", [], false, struck);
  }

  /** Half a minute at least, and as long as it was told to take. */
  protected ran(isClean: boolean, minutes: number, struck = false): void {
    for (const one of this.list)
      if (one.open && one.test === "run" && one.mended) {
        if (!isClean && !struck) one.mended = false;
        else if (!isClean) one.mendedFrom = Math.max(one.mendedFrom, this.strike);
        else if (minutes >= 0.5 && minutes >= one.lasts && this.now > one.mendedFrom) one.open = false;
      }
  }

  protected volts(
    kind: "live" | "charged",
    place: string,
    read: number,
    line: number,
    struck: boolean,
  ): void {
    if (Math.abs(read) > SAFE_VOLTS) this.open(kind, place, line, `${kind} ${place}`, [], true, struck);
    else if (!struck) this.pass(`${kind} ${place}`);
  }

  protected opensOfWork(faultIds: readonly string[], line: number, struck: boolean): void {
    if (faultIds.length > 0 && faultIds.every((id) => BLOWN.includes(id))) {
      if (!BLOWS_THE_FUSE.some((id) => this.mendedBefore.has(id)))
        this.open("root", faultIds.join(" "), line, "run", BLOWS_THE_FUSE, false, struck);
      this.open("renewed", "fuse", line, "fuse", [], true, struck);
    }
    if (faultIds.includes("brake-drags") && this.runsOn)
      this.open("brake", "brake", line, "stop", [], true, struck);
  }

  protected repaired(faultIds: readonly string[], line: number): void {
    const mends = faultIds.filter((id) => !BLOWN.includes(id));
    const stations = faultIds.map((id) => STATION.get(id) ?? "");
    const spoils = faultIds.length === 0 || stations.some((id) => !SPOILS_INSULATION_NOT.includes(id));
    const made = new Set([
      ...mends,
      ...stations.map((id) => `station:${id}`),
      ...(spoils ? ["spoils:insulation"] : []),
      ...(mends.length > 0 ? ["any"] : []),
    ]);
    for (const one of this.list)
      if (one.open) {
        one.passes = 0;
        if ([...one.mendedBy].some((each) => made.has(each))) {
          one.mended = true;
          one.mendedFrom = 0;
        }
      }
    this.opensOfWork(faultIds, line, false);
    for (const id of faultIds) this.mendedBefore.add(id);
  }
}
