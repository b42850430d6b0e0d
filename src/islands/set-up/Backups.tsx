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
      <p className="text-soft">
        Made every night and before each upgrade into{" "}
        <span className="break-all font-mono text-sm">{backup.folder}</span>: the newest fourteen stay, and
        the first of each month. A disk that fails takes them with it: keep a copy elsewhere.
      </p>
      {last ? <PutBack backups={backups} zone={zone} /> : null}
    </section>
  );
}
