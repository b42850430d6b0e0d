import type { KindWords } from "../../kind-words";

export const words: KindWords<"complaint"> = (payload, { shop }) => {
  const signs = payload.signs
    .map((sign) => shop.signs.find(({ id }) => id === sign)?.label ?? sign)
    .join(" · ");
  return `Complaint: ${[signs, payload.words].filter((part) => part !== "").join("; ")}`;
};
