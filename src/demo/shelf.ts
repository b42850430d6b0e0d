import type { Donor } from "@/core/matching/part";

/** A part on the demo's shelf: its number in the price list, at whose price it stands there. */
export interface DemoShelved {
  readonly listedId: string;
  readonly place: string;
  readonly count: number;
  readonly donor?: Donor;
}

const lies = (place: string, count: number, listedId: string): DemoShelved => ({ listedId, place, count });
const keptIn = (machine: string, tested: string, listedId: string): DemoShelved => ({
  listedId,
  place: "Under the back bench",
  count: 1,
  donor: { machine, tested },
});

const POLISHER = "old floor polisher, its bell cracked";
const CHURN = "ice-cream churn, its tub leaking";
const EXTRACTOR = "honey extractor, its cage broken";

/** What lies in the Tern Quay Mending Room, and the machines that are kept there for parts. */
export const DEMO_SHELF: readonly DemoShelved[] = [
  lies("Drawer A1", 10, "fuse:fuse-t-1.6-a-high-5x20-250-v"),
  lies("Drawer A1", 8, "fuse:fuse-t-3.15-a-high-5x20-250-v"),
  lies("Drawer A1", 6, "fuse:fuse-t-6.3-a-high-5x20-250-v"),
  lies("Drawer A1", 4, "fuse:fuse-t-10-a-high-5x20-250-v"),
  lies("Drawer A2", 3, "fuse-holder:fuse-holder-5x20-panel-10-a-250-v"),
  lies("Drawer A2", 4, "thermal-fuse:thermal-fuse-133-c-10-a-250-v-insulated"),
  lies("Drawer A3", 2, "overload:overload-2.5-a-250-v-reset-by-hand"),
  lies("Drawer B1", 2, "run-capacitor:run-capacitor-4-uf-5-450-v-class-b-s0"),
  lies("Drawer B1", 1, "run-capacitor:run-capacitor-16-uf-5-450-v-class-b-s0"),
  lies("Drawer B1", 1, "run-capacitor:run-capacitor-20-uf-5-450-v-class-b-s0"),
  lies("Drawer B2", 1, "start-capacitor:start-capacitor-88-106-uf-250-v"),
  lies("Drawer B2", 1, "start-capacitor:start-capacitor-189-227-uf-250-v"),
  lies("Drawer B3", 12, "bleed-resistor:resistor-15-k-2-w-500-v"),
  lies("Drawer B3", 6, "suppressor:suppressor-x2-100-nf-275-v-15-mm"),
  lies("Drawer B4", 60, "terminal:tab-6.3-mm-0.5-to-1-mm-105-c-covered"),
  lies("Drawer C1", 4, "ball-bearing:bearing-608-2rs-8-22-7-mm-for-motors"),
  lies("Drawer C1", 3, "ball-bearing:bearing-6201-2rs-12-32-10-mm-for-motors"),
  lies("Drawer C1", 4, "ball-bearing:bearing-6202-2rs-15-35-11-mm-for-motors"),
  lies("Drawer C1", 2, "ball-bearing:bearing-6203-2rs-17-40-12-mm-for-motors"),
  lies("Drawer C2", 5, "washer:wave-washer-15-26-0.4-mm"),
  lies("Drawer C2", 8, "o-ring:o-ring-20-2-mm-nbr"),
  lies("Drawer C3", 2, "brush:brush-pair-5-8-20-mm-spade"),
  lies("Drawer C3", 1, "brush:brush-pair-6.3-13-25-mm-cap"),
  lies("Drawer C4", 2, "coupling:coupling-spider-20-mm-4-arms-medium"),
  lies("Drawer C4", 1, "switch:switch-latching-two-poles-16-a-for-motors-27.2-mm"),
  lies("Hook by the door", 3, "cord:cord-3-1-mm-rubber-3-m"),
  lies("Hook by the door", 4, "plug:plug-16-a-with-earth-sheath-6-9-mm"),
  lies("Hook by the door", 1, "belt:belt-z-400-mm"),
  keptIn(
    POLISHER,
    "start winding 11.4 Ω, run winding 4.1 Ω, 200 MΩ to frame, ran 10 minutes",
    "motor:motor-250-w-4-poles-230-v-50-hz-capacitor-start-foot-closed",
  ),
  keptIn(
    POLISHER,
    "opens and closes by hand, contacts clean",
    "centrifugal-switch:start-switch-weights-shaft-15.875-mm-4-poles-50-hz-16-a",
  ),
  keptIn(CHURN, "19.6 μF on the bench meter", "run-capacitor:run-capacitor-20-uf-5-450-v-class-b-s0"),
  keptIn(CHURN, "", "fan:fan-120-mm-bore-8-mm-flat-clockwise"),
  keptIn(EXTRACTOR, "", "switch:switch-latching-two-poles-10-a-for-motors-27.2-mm"),
];
