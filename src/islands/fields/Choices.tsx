interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

interface ChoicesProps<T extends string> {
  readonly legend: string;
  readonly name: string;
  readonly choices: readonly Choice<T>[];
  readonly value: T | undefined;
  /** What stands above says it already. */
  readonly isLegendHidden?: boolean;
  onChoose(value: T): void;
}

/** One of a few, as chips that a thumb can hit; arrow keys move between them. */
export function Choices<T extends string>({
  legend,
  name,
  choices,
  value,
  isLegendHidden = false,
  onChoose,
}: ChoicesProps<T>) {
  return (
    <fieldset>
      <legend className={isLegendHidden ? "sr-only" : "label-line"}>{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {choices.map((choice) => (
          <label className="chip" key={choice.value}>
            <input
              className="sr-only"
              type="radio"
              name={name}
              value={choice.value}
              checked={choice.value === value}
              onChange={() => onChoose(choice.value)}
            />
            {choice.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
