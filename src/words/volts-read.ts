import { formatText } from "@/core/quantity/format";

export interface VoltsRead {
  readonly volts: number;
  /** The meter was over its range: the volts are only what it was taken for. */
  readonly over?: boolean | undefined;
}

/** Volts as they were read: of a meter over its range no figure is known. */
export function voltsRead({ volts, over }: VoltsRead): string {
  return over ? "OL" : formatText(volts, "V");
}
