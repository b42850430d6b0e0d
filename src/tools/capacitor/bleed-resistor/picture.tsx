import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where the ohms of the one that is fitted are read: on its own two ends, one of them off the capacitor. */
export function Probes() {
  return (
    <ProbeSketch
      part="capacitor"
      touch="clips"
      isOff
      hasResistor
      state="drained, a leg lifted"
      told="The resistor lies across the two terminals of the drained capacitor. To read its ohms one of its legs is lifted and the probes go to its two ends."
    />
  );
}
