import type { JobView } from "@/core/job/log/view";
import { inSentence } from "@/words/in-sentence";
import { Metering } from "../tools/Metering";
import type { MoveProps } from "./move-props";

type CareProps = Pick<MoveProps, "move" | "shop" | "knowledge"> & { readonly job: JobView };

/** The instrument that is not in the shop, and what is done without it. */
function Borrow({ move, shop, knowledge }: Omit<CareProps, "job">) {
  const { kit } = shop.settings;
  if (move.kit === undefined || kit.includes(move.kit)) return null;
  const label = knowledge.kit.find(({ id }) => id === move.kit)?.label ?? move.kit;
  const instead = knowledge.moves.find(({ id }) => id === move.instead)?.title;
  return (
    <p className="font-semibold text-brass">
      {kit.length === 0 ? `Needs: ${inSentence(label)}` : `Not in the shop: ${inSentence(label)}. Borrow one`}
      {instead ? `; without it: ${inSentence(instead)}` : ""}.
    </p>
  );
}

/** How the meter is set and held, what misleads, and what to do where the instrument is not owned. */
export function Care(props: CareProps) {
  const { move } = props;
  const words = [...(move.setting ? [`Meter on ${move.setting}.`] : []), ...move.pitfalls].join(" ");
  return (
    <>
      {words === "" ? null : <p className="text-[17px]">{words}</p>}
      <Metering {...props} />
      <Borrow {...props} />
    </>
  );
}
