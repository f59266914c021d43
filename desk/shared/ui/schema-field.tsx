import type { ReactNode } from 'react';
import type { z } from 'zod';
import { MeasureField } from './measure-field';

interface Props {
  label: string;
  /** says what can stand in the field, and what else is wrong */
  schema: z.ZodType;
  value: string | number;
  change: (value: never) => void;
  hint?: ReactNode;
  hideLabel?: boolean;
  placeholder?: string;
  error?: string;
  className?: string;
  /** so many lines instead of one */
  rows?: number;
}

/**
 * A field of a larger document, read by its schema. What cannot be stays as it was typed and says so, and does not keep the
 * rest of the document from being saved.
 */
export function SchemaField({ schema, value, change, ...rest }: Props) {
  const isNumber = typeof value === 'number';
  const read = (typed: string) => {
    const result = schema.safeParse(isNumber ? (typed.trim() === '' ? NaN : Number(typed)) : typed);
    return result.success ? { value: result.data } : { problem: result.error.issues[0]!.message };
  };
  return (
    <MeasureField
      shown={String(value)}
      read={read}
      change={(next) => change(next as never)}
      selects={isNumber}
      {...rest}
    />
  );
}
