import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { hasOwnBattery } from "@/core/safety/bench-gaps";
import type { PlugEvidence } from "@/core/safety/bench-state";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { ReadingField } from "../fields/ReadingField";
import { useReadingField } from "../fields/use-reading-field";
import { usePost } from "../state/use-post";

const EVIDENCE: readonly { readonly evidence: PlugEvidence; readonly label: string }[] = [
  { evidence: "plug-in-sight", label: "Out, plug in sight" },
  { evidence: "plug-in-pocket", label: "Out, plug in my pocket" },
  { evidence: "plug-tagged", label: "Out and tagged" },
  { evidence: "cord-off-machine", label: "Cord is off the machine" },
];

interface QuestionProps {
  readonly job: JobView;
  readonly stage: Stage;
  /** It is known to be in: only how it came out is asked. */
  readonly isIn?: boolean;
  readonly onSettled?: () => void;
}

function Isolated({ job, stage, onSettled }: QuestionProps) {
  const [text, setText] = useState("");
  const [means, setMeans] = useState("");
  const { post, problem, isBusy } = usePost(job.jobId);
  const field = useReadingField({ quantity: "voltage", label: "Volts read", text, onText: setText });
  const keep = async (): Promise<void> => {
    const volts = field.take();
    if (
      volts !== undefined &&
      (await post({ kind: "bench-state", stage, payload: { event: "isolated", volts, means } }))
    )
      onSettled?.();
  };
  return (
    <div className="grid max-w-xl gap-3">
      <p>
        Switch off, lock or tag it, prove the tester, test every conductor, prove the tester again. Work on
        fixed wiring may be licensed where you are: local rules come first.
      </p>
      <ReadingField
        id="isolated-volts"
        label="Volts read, the highest"
        quantity="voltage"
        model={field}
        onKeep={keep}
      />
      <Field label="Read with">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={means}
            onChange={(event) => setMeans(event.target.value)}
            placeholder="two-pole tester"
          />
        )}
      </Field>
      <button type="button" className="btn btn-primary w-fit" disabled={isBusy} onClick={keep}>
        It is dead
      </button>
      <Problem text={problem} />
    </div>
  );
}

/** Where the plug is: one tap, nothing prefilled. Asked again whenever this screen cannot know it any more. */
export function PlugQuestion(props: QuestionProps) {
  const { job, stage, isIn, onSettled } = props;
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = async (payload: Record<string, unknown>): Promise<void> => {
    if (await post({ kind: "bench-state", stage, payload })) onSettled?.();
  };
  const button = (label: string, payload: Record<string, unknown>) => (
    <button
      key={label}
      type="button"
      className="btn btn-outline btn-bench"
      disabled={isBusy}
      onClick={() => say(payload)}
    >
      {label}
    </button>
  );
  const { connection, hasSecondFeed } = job.machine;
  const battery = hasOwnBattery(job.machine) ? (
    <div className="flex flex-wrap gap-3">
      {button("Battery is out", { event: "battery", is: "out" })}
      {button("Battery is in", { event: "battery", is: "in" })}
      {connection === "battery"
        ? button("It is on its charger", { event: "plugged-in", outlet: "not-said" })
        : null}
    </div>
  ) : null;
  return (
    <div className="grid gap-3">
      {hasSecondFeed ? (
        <p className="font-semibold">
          Two feeds: both off, then read dead. A plug that is out says nothing of the other.
        </p>
      ) : null}
      {connection === "fixed" || hasSecondFeed ? <Isolated {...props} /> : null}
      {connection === "fixed" || connection === "battery" ? null : (
        <div className="flex flex-wrap gap-3">
          {EVIDENCE.map(({ evidence, label }) => button(label, { event: "unplugged", evidence }))}
          {isIn ? null : button("It is plugged in", { event: "plugged-in", outlet: "not-said" })}
        </div>
      )}
      {battery}
      {connection === "battery" && job.bench.plug === "plugged-in"
        ? button("Off its charger", { event: "unplugged", evidence: "plug-in-sight" })
        : null}
      <Problem text={problem} />
    </div>
  );
}
