import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where the probes go: across the drained capacitor, both ways round. */
export function Probes() {
  return (
    <ProbeSketch
      part="capacitor"
      touch="probes"
      isOff
      state="drained"
      told="A probe on each terminal of the drained capacitor, one of its wires off; then the probes changed over."
    />
  );
}
