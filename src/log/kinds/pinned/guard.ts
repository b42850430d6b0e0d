import { issue } from "@/core/result";
import type { Guard } from "../../guard";
import { guardPin } from "../../guard-pin";

export const guard: Guard<"pinned"> = (pinned, view) => {
  const isOff = view.removed.some(({ seq }) => seq === pinned.line);
  const noLine = isOff
    ? []
    : [
        issue(
          "payload.line",
          "guard/not-off",
          `Line ${pinned.line} took nothing off that a pin could show.`,
          pinned.line,
        ),
      ];
  return [...noLine, ...guardPin(view, pinned, "payload.picture")];
};
