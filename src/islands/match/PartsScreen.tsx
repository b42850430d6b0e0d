import { PlainFrame } from "../frame/PlainFrame";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { FamilyPicker, familyInAddress, type NamedFamily } from "./FamilyPicker";
import { MatchSheet } from "./MatchSheet";

interface PartsProps {
  readonly families: readonly NamedFamily[];
  readonly currency: string;
}

function Matcher({ families, currency }: PartsProps) {
  const [chosen, setChosen] = useDraft<string | undefined>("match:loose", undefined);
  const asked = familyInAddress(families);
  const family = asked ?? chosen ?? families[0]?.id ?? "";
  const pick = (next: string): void => {
    // What the address asked for has been looked at.
    window.history.replaceState(null, "", window.location.pathname);
    setChosen(next);
  };
  return (
    <MatchSheet
      key={family}
      job={null}
      currency={currency}
      family={family}
      picker={<FamilyPicker families={families} family={family} onPick={pick} />}
      action={() => <p className="text-soft">Open a job and its Match to take it.</p>}
    />
  );
}

/** Parts by what is needed of them, without a job. */
export function PartsScreen(props: PartsProps) {
  const isAwake = useAwake();
  return (
    <PlainFrame path="/parts">
      <div className="mb-3 flex flex-wrap items-center gap-x-6">
        <h1 className="font-bold text-[28px] leading-tight">Parts</h1>
        <a
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          href="/orders"
        >
          On order
        </a>
      </div>
      {isAwake ? <Matcher {...props} /> : null}
    </PlainFrame>
  );
}
