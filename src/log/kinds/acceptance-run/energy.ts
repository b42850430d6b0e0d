import type { EnergyOf } from "../../energy-of";
import { liveEvents } from "../../live-events";

export const energy: EnergyOf<"acceptance-run"> = ({ taken }) => liveEvents(taken);
