import { useEffect, useState, type ReactNode } from 'react';
import { useUnsaved } from '../autosave/unsaved';
import { TextArea, TextField } from './field';

interface Props {
  label: string;
  hint?: ReactNode;
  error?: string;
  unsaved?: boolean;
  hideLabel?: boolean;
  placeholder?: string;
  type?: 'text' | 'date';
  className?: string;
  /** coming into it selects what is there, so that it is typed over */
  selects?: boolean;
  /** so many lines instead of one */
  rows?: number;
  /** the saved value in words; '' for none */
  shown: string;
  /** reads what was typed, or says why it cannot be that; an empty field is read too */
  read: (typed: string) => { value: unknown } | { problem: string };
  change: (value: unknown) => void;
}

/** A field whose text stands for a value: a number with its unit, an amount, a range. What cannot be read stays as typed. */
export function MeasureField({ shown, read, change, error, unsaved, rows, selects = true, ...rest }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const tellUnsaved = useUnsaved();
  const { label } = rest;
  useEffect(() => {
    tellUnsaved(problem === null ? null : { problems: [`${label}: ${problem}`], isOnItsWay: false });
  }, [tellUnsaved, label, problem]);
  const field = {
    ...rest,
    value: typed ?? shown,
    error: problem ?? error,
    unsaved: unsaved || problem !== null,
    onChange: (event: { target: { value: string } }) => {
      const text = event.target.value;
      setTyped(text);
      const result = read(text);
      if ('problem' in result) setProblem(result.problem);
      else {
        setProblem(null);
        change(result.value);
      }
    },
    onBlur: () => {
      if (problem === null) setTyped(null);
    },
  };
  if (rows !== undefined) return <TextArea {...field} rows={rows} />;
  return <TextField {...field} onFocus={(event) => selects && event.target.select()} />;
}
