/** Colours of leads as repairers name them, with what a screen shows for them; the name always stands beside it. */
export const WIRE_COLOURS: readonly {
  readonly name: string;
  readonly fill: string;
  readonly stripe?: string;
}[] = [
  { name: "brown", fill: "#7a4a21" },
  { name: "blue", fill: "#1f5fa8" },
  { name: "green-yellow", fill: "#3d8b37", stripe: "#e8d21d" },
  { name: "black", fill: "#1b1b1b" },
  { name: "white", fill: "#f4f4f0" },
  { name: "red", fill: "#b3261e" },
  { name: "yellow", fill: "#e8c21d" },
  { name: "orange", fill: "#d9701a" },
  { name: "grey", fill: "#8a8f92" },
  { name: "violet", fill: "#6b3fa0" },
];

export function wireFill(name: string): string {
  return WIRE_COLOURS.find((one) => one.name === name)?.fill ?? "currentColor";
}
