import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where the probes go: the two line leads, with both windings behind them. */
export function Probes() {
  return (
    <ProbeSketch
      part="two-windings"
      touch="probes"
      isOff={false}
      state="drained, switch worked"
      told="A probe on each of the two line leads; both windings lie behind them, the start switch is held or let go."
    />
  );
}
