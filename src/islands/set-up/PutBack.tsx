import { useState } from "react";
import { formatInstant } from "@/core/quantity/format";
import { ageWords, sizeWords } from "@/words/backup";
import type { useBackups } from "./use-backups";

interface PutBackProps {
  readonly backups: ReturnType<typeof useBackups>;
  readonly zone: string;
}

/** The shop as it was at one of its backups: chosen, told what that means, and done at a second tap. */
export function PutBack({ backups, zone }: PutBackProps) {
  const [chosen, setChosen] = useState<string | undefined>(undefined);
  const { work, isBusy } = backups;
  const to = backups.backups.find(({ name }) => name === chosen);
  if (work?.what === "restore" && work.isDone && work.trouble === null)
    return (
      <div className="border border-ink p-3" role="status">
        <p>
          <b>The shop stands as it was at that backup.</b> What stood here until now lies whole in{" "}
          <span className="break-all font-mono text-sm">{work.left}</span>. Of no machine is it known where
          its plug is: look before you touch.
        </p>
        <a className="btn btn-outline mt-2" href="/">
          To the Bench
        </a>
      </div>
    );
  return (
    <details
      onToggle={({ currentTarget }) => {
        if (currentTarget.open) void backups.load();
      }}
    >
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
        Put the shop back to a backup
      </summary>
      <fieldset disabled={isBusy} className="mt-1">
        <legend className="sr-only">Backups</legend>
        <div className="flex max-h-80 flex-wrap gap-2 overflow-y-auto">
          {backups.backups.map(({ name, at, bytes }) => (
            <label className="chip" key={name}>
              <input
                type="radio"
                name="backup"
                className="sr-only"
                checked={name === chosen}
                onChange={() => setChosen(name)}
              />
              {formatInstant(at, zone)}{" "}
              <span className="font-normal text-soft">
                {ageWords(at, Date.now())}, {sizeWords(bytes)}
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      {to ? (
        <div className="mt-2 grid justify-items-start gap-2">
          <p>
            Every job goes back to {formatInstant(to.at, zone)}. What was kept since then leaves the shop; it
            stays on this computer in a folder of its own. Nothing can be kept on any screen until it is over;
            then every screen shows it at once.
          </p>
          <button
            type="button"
            className="btn btn-error"
            disabled={isBusy}
            onClick={() => void backups.putBack(to.name)}
          >
            {isBusy ? "Putting it back …" : `Put the shop back to ${formatInstant(to.at, zone)}`}
          </button>
        </div>
      ) : null}
    </details>
  );
}
