interface Props {
  label: string;
  choices: readonly { value: string; label: string }[];
  value: string;
  choose: (value: string) => void;
}

/** One of a few things, all of them in sight below what they are. */
export const OneOf = ({ label, choices, value, choose }: Props) => (
  <fieldset>
    <legend className="mb-1 font-semibold">{label}</legend>
    <div className="flex flex-wrap gap-1">
      {choices.map((choice) => (
        <button
          key={choice.value}
          type="button"
          aria-pressed={choice.value === value}
          onClick={() => choose(choice.value)}
          className="rounded-lg bg-sunk px-2.5 py-1.5 hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
        >
          {choice.label}
        </button>
      ))}
    </div>
  </fieldset>
);
