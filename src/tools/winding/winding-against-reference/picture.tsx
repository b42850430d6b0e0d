import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where the probes go: both ends of one winding, one of its leads off. */
export function Probes() {
  return (
    <ProbeSketch
      part="winding"
      touch="probes"
      isOff
      state="cold, drained"
      told="A probe on each end of the winding, one of its leads off, drained and cold."
    />
  );
}
