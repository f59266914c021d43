import { useState } from 'react';

/** One of a few things, nothing chosen at first. */
export function OneOf<T extends string>({
  label,
  choices,
  choose,
}: {
  label: string;
  choices: readonly { value: T; label: string }[];
  choose: (value: T) => void;
}) {
  const [chosen, setChosen] = useState<T>();
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      {choices.map(({ value, label: words }) => (
        <label key={value} className="flex items-center gap-2 py-0.5">
          <input
            type="radio"
            name={label}
            checked={chosen === value}
            onChange={() => {
              setChosen(value);
              choose(value);
            }}
            className="size-4 accent-petrol"
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}
