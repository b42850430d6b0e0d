import type { KindWords } from "../../kind-words";

const FIT = { fit: "", note: ", with a note", temporary: ", for a while only" } as const;

export const words: KindWords<"part-chosen"> = ({ label, fit, fromShelf }) =>
  `Part chosen: ${label}${FIT[fit]}${
    fromShelf.length > 0 ? `, from the shelf (${fromShelf.map(({ place }) => place).join(", ")})` : ""
  }`;
