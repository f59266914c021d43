import { Pressed } from './pressed';

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
        <Pressed key={choice.value} isOn={choice.value === value} choose={() => choose(choice.value)}>
          {choice.label}
        </Pressed>
      ))}
    </div>
  </fieldset>
);
