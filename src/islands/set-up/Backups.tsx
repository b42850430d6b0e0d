import { formatInstant } from "@/core/quantity/format";
import type { Backup } from "@/wire/shop";
import { ageWords, sizeWords } from "@/words/backup";
import { Problem } from "../fields/Problem";
import { PutBack } from "./PutBack";
import { useBackups } from "./use-backups";

export interface BackupsProps {
  readonly last: Backup | null;
  readonly isOld: boolean;
  readonly folder: string;
  /** What the journal was found to lack, the newest last: a moment and a sentence each. */
  readonly lacked: readonly string[];
}

const INSTANT = /\d{4}-\d\d-\d\dT[\d:.]+Z/g;

/** What the journal was found to lack is said for good: somebody may look for what was lost. */
function Lacked({ lacked, zone }: { readonly lacked: readonly string[]; readonly zone: string }) {
  if (lacked.length === 0) return null;
  return (
    <div role="status" className="hatched border border-ink p-1.5">
      <div className="bg-paper px-3 py-1.5">
        <p className="font-semibold">The journal is this shop's second record, line by line.</p>
        <ul className="mt-1 grid gap-1">
          {lacked.map((line) => (
            <li key={line}>{line.replace(INSTANT, (at) => formatInstant(at, zone))}</li>
          ))}
        </ul>
      </div>
    </div>
  );
}

/** How old the last good backup is, one made now, and how a shop is put back to one. */
export function Backups({ backup, zone }: { readonly backup: BackupsProps; readonly zone: string }) {
  const backups = useBackups(backup.last);
  const last = backups.backups[0] ?? null;
  const isOld = backup.isOld && last?.name === backup.last?.name;
  const isBackingUp = backups.isBusy && backups.work?.what === "backup";
  return (
    <section aria-label="Backup" className="grid content-start gap-2" data-testid="backup">
      <h2 className="font-bold text-lg">Backup</h2>
      <p className={isOld ? "font-semibold text-oxide" : ""} role="status">
        {last ? (
          <>
            Last good one <b>{ageWords(last.at, Date.now())}</b>, {formatInstant(last.at, zone)},{" "}
            {sizeWords(last.bytes)}, read back whole.
          </>
        ) : (
          "No backup yet."
        )}
        {isOld ? " That is too old: make one now, and look why the night makes none." : ""}
      </p>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-outline"
          disabled={backups.isBusy}
          onClick={() => void backups.backUp()}
        >
          {isBackingUp ? "Backing up …" : "Back up now"}
        </button>
        {last ? (
          <a className="btn btn-outline" href={`/api/backups/${last.name}`} download>
            Keep a copy elsewhere
          </a>
        ) : null}
      </div>
      <Problem text={backups.problem} />
      <Lacked lacked={backup.lacked} zone={zone} />
      <p className="text-soft">
        Made every night and before each upgrade into{" "}
        <span className="break-all font-mono text-sm">{backup.folder}</span>: the newest fourteen stay, and
        the first of each month. A disk that fails takes them with it: keep a copy elsewhere.
      </p>
      {last ? <PutBack backups={backups} zone={zone} /> : null}
    </section>
  );
}
