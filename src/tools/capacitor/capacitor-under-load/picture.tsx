import { ProbeSketch } from "@/drawing/ProbeSketch";

/** Where clamp and leads go: clamp round one lead, meter across, both fitted before power. */
export function Probes() {
  return (
    <ProbeSketch
      part="capacitor"
      touch="clamp-and-leads"
      isOff={false}
      state="live: hands off"
      told="A clamp round one lead of the capacitor and meter leads across it, all fitted with the plug out; then power, hands off."
    />
  );
}
