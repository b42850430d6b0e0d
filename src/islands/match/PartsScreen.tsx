import { PlainFrame } from "../frame/PlainFrame";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { FamilyPicker, familyInAddress, type NamedFamily } from "./FamilyPicker";
import { MatchSheet } from "./MatchSheet";
import { ShelveIt } from "./ShelveIt";

interface PartsProps {
  readonly families: readonly NamedFamily[];
  readonly currency: string;
}

/** What parts have beside themselves. */
const PLACES = [
  ["/shelf", "Shelf"],
  ["/orders", "On order"],
] as const;

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
      action={(one, { asked }) =>
        one.shelf ? (
          <p className="text-soft">Open a job and its Match to take it.</p>
        ) : (
          <details>
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Put it on the shelf</summary>
            <ShelveIt asked={asked} currency={currency} listed={one} />
          </details>
        )
      }
      foot={(asked) => (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
            Put one on the shelf that is on no list, as it is described above
          </summary>
          <ShelveIt asked={asked} currency={currency} listed={null} />
        </details>
      )}
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
        {PLACES.map(([path, label]) => (
          <a
            key={path}
            className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
            href={path}
          >
            {label}
          </a>
        ))}
      </div>
      {isAwake ? <Matcher {...props} /> : null}
    </PlainFrame>
  );
}
