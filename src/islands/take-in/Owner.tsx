import { useState } from "react";
import { request } from "../state/api";

interface OwnerProps {
  readonly jobId: number;
  readonly name: string;
  readonly contact: string;
}

/** Whose machine it is and how they are reached; both can be forgotten, and the job stays. */
export function Owner({ jobId, name, contact }: OwnerProps) {
  const [asked, setAsked] = useState(false);
  const [said, setSaid] = useState<string | undefined>(undefined);
  if (name === "" && contact === "") return null;
  const forget = async (): Promise<void> => {
    const answer = await request("DELETE", `/api/jobs/${jobId}/owner`);
    setSaid(answer.ok ? "Owner forgotten" : answer.issues.map(({ message }) => message).join(" "));
  };
  if (said) return <span className="ml-3 font-normal text-lg text-soft">{said}</span>;
  return (
    <span className="ml-3 font-normal text-lg text-soft">
      {[name, contact].filter((part) => part !== "").join(", ")}
      <button
        type="button"
        className="ml-3 min-h-11 text-base text-teal underline underline-offset-4"
        onClick={() => (asked ? void forget() : setAsked(true))}
      >
        {asked ? "really forget name and contact" : "forget"}
      </button>
    </span>
  );
}
