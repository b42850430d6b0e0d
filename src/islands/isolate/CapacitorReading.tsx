import { useState } from "react";
import { Field } from "../fields/Field";
import { TouchKeypad } from "../fields/Keypad";
import { Problem } from "../fields/Problem";
import { ReadingField } from "../fields/ReadingField";
import { BenchGate } from "../frame/BenchGate";
import { usePost } from "../state/use-post";
import { BleedChoice } from "../tools/capacitor-against-mark/CapacitorFields";
import { FindingWords } from "../tools/capacitor-against-mark/FindingWords";
import { useCapacitorSheet } from "../tools/capacitor-against-mark/use-capacitor-sheet";
import type { MoveProps } from "./move-props";

/** The capacitor's reading inside the next move's card: typed, judged beside it, kept with Enter. */
export function CapacitorReading({ screen, shop, move }: MoveProps) {
  const { job } = screen;
  const role = move.id === "start-capacitance" ? "start" : "run";
  const mark = job.capacitors.find(({ id }) => id === role)?.mark ?? "";
  const model = useCapacitorSheet({ draftKey: `${job.jobId}:${move.id}`, mark, role, shop });
  const { ask, post, problem } = usePost(job.jobId);
  const [isGated, setIsGated] = useState(false);
  const finding = model.draft.reading.trim() === "" ? undefined : model.finding;
  const keep = async (taken: "now" | "afterwards"): Promise<void> => {
    if (model.reading.take() === undefined) return;
    if (!model.finding)
      return model.reading.object([{ path: "", code: "sheet/incomplete", message: model.missing ?? "" }]);
    const payload = {
      of: "tool",
      toolId: "capacitor-against-mark",
      moveId: move.id,
      input: model.input,
      taken,
    };
    const issues = await ask({ kind: "reading", stage: "isolate", payload });
    const isRefused = issues.some(({ code }) => code === "guard/bench-state");
    setIsGated(isRefused);
    if (issues.length === 0) model.next();
    else if (!isRefused) model.reading.object(issues);
  };
  const tryKeep = (): void => {
    if (model.finding && screen.gaps(move.needs).length > 0) setIsGated(true);
    else void keep("now");
  };
  const say = (outcomeId: string) => () =>
    post({
      kind: "answer",
      stage: "isolate",
      payload: { moveId: move.id, outcomeId, circumstance: "cold", taken: "now" },
    });
  return (
    <>
      {mark === "" ? (
        <Field label="What is printed on it" className="mb-3" error={model.problemOf("mark")}>
          {(ids) => (
            <input
              {...ids}
              className="input num"
              data-testid="mark"
              placeholder="145-174 μF 250 VAC"
              autoComplete="off"
              value={model.draft.mark}
              onChange={(event) => model.set({ mark: event.target.value })}
            />
          )}
        </Field>
      ) : (
        <p className="mb-2 text-soft">
          Marked <span className="num text-ink">{mark}</span>
        </p>
      )}
      <BleedChoice model={model} />
      <div className="grid items-start gap-x-6 gap-y-3 sm:grid-cols-2">
        <ReadingField
          id="capacitance"
          testId="reading"
          label="Capacitance"
          quantity="capacitance"
          model={model.reading}
          size="large"
          whose={`Job ${job.jobId} · ${job.takenIn?.machine ?? ""}`}
          hasKeypad={false}
          onKeep={tryKeep}
        />
        <div className="sm:pt-7">
          {finding ? (
            <FindingWords finding={finding} />
          ) : (
            <p className="text-lg text-soft">
              {model.draft.reading.trim() === ""
                ? "Hold the probes until the figure stands still."
                : model.missing}
            </p>
          )}
        </div>
      </div>
      <TouchKeypad
        quantity="capacitance"
        text={model.reading.text}
        onText={(text) => model.reading.type(text)}
        onKeep={tryKeep}
      />
      {isGated ? (
        <BenchGate
          screen={screen}
          stage="isolate"
          need={move.needs}
          about={model.draft.reading}
          onSettled={() => setIsGated(false)}
          onAfterwards={() => keep("afterwards")}
        />
      ) : null}
      <Problem text={problem} />
      <div className="mt-3 flex flex-wrap gap-2.5">
        <button type="button" className="btn btn-outline" onClick={say("not-sure")}>
          Not sure
        </button>
        <button type="button" className="btn btn-outline" onClick={say("could-not")}>
          Could not
        </button>
      </div>
    </>
  );
}
