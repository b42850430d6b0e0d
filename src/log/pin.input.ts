import { wholeNumber } from "@/core/fields.input";
import { finiteNumber } from "@/core/validate";

/** Where on a picture: its line, and shares of its width and height from the top left. */
export const pinFields = {
  picture: wholeNumber("Line of the picture").required().min(1),
  x: finiteNumber().label("Across").required().min(0).max(1),
  y: finiteNumber().label("Down").required().min(0).max(1),
};
