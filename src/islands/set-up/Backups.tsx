import { useState } from "react";
import { formatInstant } from "@/core/quantity/format";
import { Problem } from "../fields/Problem";
import { request } from "../state/api";
import { ageWords, sizeWords } from "../words/backup";

interface Backup {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}

export interface BackupsProps {
  readonly last: Backup | null;
  readonly isOld: boolean;
  readonly folder: string;
}

/** How old the last good backup is, one made now, and how a shop is put back from one. */
export function Backups({ backup, zone }: { readonly backup: BackupsProps; readonly zone: string }) {
  const [last, setLast] = useState(backup.last);
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const make = async (): Promise<void> => {
    setIsBusy(true);
    const made = await request<Backup>("POST", "/api/backups");
    setIsBusy(false);
    setProblem(made.ok ? undefined : made.issues.map(({ message }) => message).join(" "));
    if (made.ok) setLast(made.value);
  };
  const isOld = backup.isOld && last === backup.last;
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
        <button type="button" className="btn btn-outline" disabled={isBusy} onClick={make}>
          {isBusy ? "Backing up …" : "Back up now"}
        </button>
        {last ? (
          <a className="btn btn-outline" href={`/api/backups/${last.name}`} download>
            Keep a copy elsewhere
          </a>
        ) : null}
      </div>
      <Problem text={problem} />
      <p className="text-soft">
        Made every night into <span className="break-all font-mono text-sm">{backup.folder}</span>: the newest
        fourteen stay, and the first of each month. A disk that fails takes them with it: keep a copy
        elsewhere. To put a shop back:{" "}
        <span className="font-mono text-sm">npm run restore -- FILE --data NEW-FOLDER</span>.
      </p>
    </section>
  );
}
