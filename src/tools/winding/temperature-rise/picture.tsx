import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where the probes go: both ends of one winding, as soon as it stands still. */
export function Probes() {
  return (
    <ProbeSketch
      part="winding"
      touch="clips"
      isOff
      state="drained, at rest"
      told="A clip on each end of the winding, fitted as soon as it stands still, plug out and drained."
    />
  );
}
