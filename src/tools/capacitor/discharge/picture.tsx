import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where resistor and meter go: across the two terminals, on insulated clips. */
export function Probes() {
  return (
    <ProbeSketch
      part="capacitor"
      touch="clips"
      isOff={false}
      hasResistor
      state="may be charged"
      told="A resistor and the meter across the two terminals of the capacitor, on insulated clips, plug out."
    />
  );
}
