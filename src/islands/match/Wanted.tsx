import { useState } from "react";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { Issue } from "@/core/result";
import { Choices } from "../fields/Choices";
import { Needs } from "./Needs";
import { PartDrawing } from "./PartDrawing";

interface WantedProps {
  readonly answer: MatchAnswer;
  readonly typed: Readonly<Record<string, string>>;
  readonly issues: readonly Issue[];
  onType(attribute: string, text: string): void;
  onSchool(school: string, value: string): void;
}

/** What is needed, where on the part it is found, what to measure next, and the schools that hold. */
export function Wanted({ answer, typed, issues, onType, onSchool }: WantedProps) {
  const [typing, setTyping] = useState<string | undefined>(undefined);
  const { needed, asks, conflicts, found, schools, drawing } = answer;
  const next = conflicts.length === 0 ? asks[0] : undefined;
  return (
    <div className="grid items-start gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div>
        {next ? (
          <p className="mb-3 min-h-14 text-lg" data-testid="ask-next">
            Next: <b>{next.label}</b>. {next.how}{" "}
            {next.removes >= 1 ? (
              <span className="text-soft">
                Rules out about {Math.round(next.removes)} of {found}, counted over the list.
              </span>
            ) : null}
          </p>
        ) : null}
        <Needs needed={needed} typed={typed} issues={issues} onType={onType} onTyping={setTyping} />
        {schools.map(({ id, label, chosen, choices }) => (
          <div key={id} className="mt-3">
            <Choices
              legend={label}
              name={`school-${id}`}
              choices={choices}
              value={chosen}
              onChoose={(value) => onSchool(id, value)}
            />
            <p className="mt-1 text-soft">{choices.find(({ value }) => value === chosen)?.why}</p>
          </div>
        ))}
      </div>
      <div className="order-first lg:order-none">
        <PartDrawing drawing={drawing} needed={needed} lit={typing ?? next?.attribute} />
      </div>
    </div>
  );
}
