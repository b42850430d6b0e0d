import { useState } from "react";
import { formatInstant } from "@/core/quantity/format";
import { Problem } from "../fields/Problem";
import { request } from "../state/api";

interface Session {
  readonly id: string;
  readonly beganAt: string;
  readonly address: string;
  readonly seenAt: string | null;
  readonly isThis: boolean;
}

export interface AccessProps {
  /** The access code and who is in, where the shop is served beyond this machine. */
  readonly access: {
    readonly code: string;
    readonly address: string;
    readonly picture: string;
    readonly sessions: readonly Session[];
  } | null;
  readonly zone: string;
}

/** Every device that is in, and how it is put out again. */
function Devices({ sessions, zone }: { readonly sessions: readonly Session[]; readonly zone: string }) {
  const [left, setLeft] = useState(sessions);
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const end = async (ids: readonly string[]): Promise<void> => {
    setIsBusy(true);
    const answer = await request("DELETE /api/sessions", { body: { ids: [...ids] } });
    setIsBusy(false);
    if (!answer.ok) return setProblem(answer.issues.map(({ message }) => message).join(" "));
    setProblem(undefined);
    setLeft(left.filter(({ id }) => answer.value.left.includes(id)));
  };
  const others = left.filter(({ isThis }) => !isThis);
  return (
    <div className="grid gap-2">
      <ul aria-label="Devices that are in" className="grid">
        {left.map(({ id, beganAt, address, seenAt, isThis }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-rule border-t py-1.5">
            <span className="min-w-0 flex-1 basis-56">
              <b>{isThis ? "This device" : `The device at ${address || "an unknown address"}`}</b>, let in{" "}
              {formatInstant(beganAt, zone)}
              {seenAt !== null && !isThis ? `, last seen ${formatInstant(seenAt, zone)}` : ""}
            </span>
            {isThis ? null : (
              <button
                type="button"
                className="btn btn-outline"
                disabled={isBusy}
                aria-label={`Put out the device at ${address}, let in ${formatInstant(beganAt, zone)}`}
                onClick={() => void end([id])}
              >
                Put out
              </button>
            )}
          </li>
        ))}
      </ul>
      {others.length > 1 ? (
        <button
          type="button"
          className="btn btn-outline justify-self-start"
          disabled={isBusy}
          onClick={() => void end(others.map(({ id }) => id))}
        >
          Put out all but this one
        </button>
      ) : null}
      <p className="text-soft">
        A device that is put out needs the code again. Is the code known to somebody who should not have it?
        Take the file access-code out of the data folder and start again: a new one is made.
      </p>
      <Problem text={problem} />
    </div>
  );
}

/** How other devices come in, and which ones are. */
export function Access({ access, zone }: AccessProps) {
  if (!access)
    return (
      <p className="text-soft">
        Served on this machine only. To work from a tablet too, start it with --host and the address of this
        machine: visitors then need the access code, which is shown here and in the terminal.
      </p>
    );
  return (
    <>
      <div className="flex flex-wrap items-center gap-5">
        <img
          src={access.picture}
          alt={`The address ${access.address} with the access code, as a QR code`}
          width="140"
          height="140"
        />
        <p className="text-lg">
          On a tablet open <b className="num">{access.address}</b>
          <br />
          Access code <b className="num text-[28px]">{access.code}</b>
        </p>
      </div>
      <Devices sessions={access.sessions} zone={zone} />
    </>
  );
}
