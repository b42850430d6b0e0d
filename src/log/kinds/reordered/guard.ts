import { issue } from "@/core/result";
import type { Guard } from "../../guard";

/** An order names lines that came off, each once. */
export const guard: Guard<"reordered"> = ({ lines }, view) => {
  const off = new Set(view.removed.map(({ seq }) => seq));
  const stray = lines.filter((line, index) => !off.has(line) || lines.indexOf(line) !== index);
  if (stray.length === 0) return [];
  return [
    issue(
      "payload.lines",
      "guard/not-an-order",
      `Lines ${stray.join(", ")} took nothing off, or are named twice: an order names each line that came off once.`,
      stray,
    ),
  ];
};
