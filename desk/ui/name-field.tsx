import { useEffect, useLayoutEffect, useRef, useState, type InputHTMLAttributes } from 'react';
import { unsaved } from '../autosave/unsaved';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  value: string;
  /** takes the name when the field is left, or Enter is pressed */
  keep: (name: string) => void;
}

/** A name that is changed in place: kept when the field is left, by whatever way; Escape brings the old one back. */
export function NameField({ value, keep, ...rest }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [holder] = useState(() => ({}));
  const latest = useRef({ typed, value, keep });
  useLayoutEffect(() => {
    latest.current = { typed, value, keep };
  });
  const end = () => {
    const { typed: name, value: before, keep: take } = latest.current;
    unsaved.clear(holder);
    latest.current.typed = null;
    setTyped(null);
    if (name !== null && name.trim() !== before) take(name.trim());
  };
  useEffect(() => () => unsaved.clear(holder), [holder]);
  return (
    <input
      {...rest}
      value={typed ?? value}
      onChange={(event) => {
        setTyped(event.target.value);
        unsaved.set(holder, { problems: [], isOnItsWay: true, flush: end });
      }}
      onBlur={end}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        else if (event.key === 'Escape' && typed !== null) {
          event.stopPropagation();
          unsaved.clear(holder);
          setTyped(null);
        }
      }}
    />
  );
}
