import { useState } from 'react';

/** State that this browser remembers. What was stored in another form is forgotten. */
export function useRemembered<T extends string[] | boolean>(key: string, first: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      const stored: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
      const fits = Array.isArray(first) ? Array.isArray(stored) : typeof stored === typeof first;
      return fits ? (stored as T) : first;
    } catch {
      return first;
    }
  });
  return [
    value,
    (next) => {
      localStorage.setItem(key, JSON.stringify(next));
      setValue(next);
    },
  ];
}
