/** Said by the desk to the storefront in its frame, which then draws itself again from fresh data. */
export const REDRAW = 'dispona:redraw';

/** Said by the storefront to the desk around it, when it is ready to be told what is being typed. */
export const READY = 'dispona:ready';

/** What is being typed in the desk and is not saved yet; the storefront in the frame draws it over what is saved. */
export type Typed =
  | {
      of: 'product';
      id: string;
      fields: { title?: string; summary?: string; description?: string };
      /** prices of variants in minor units, by id */
      prices: Readonly<Record<string, number>>;
    }
  | { of: 'listing'; /** address of its page in the shop */ url: string; fields: { title?: string; text?: string } }
  | { of: 'page'; id: string; sections: Readonly<Record<string, { title?: string; text?: string }>> }
  | { of: 'shop'; fields: { name?: string; tagline?: string } };

/** Carries what is typed now, as a whole; nothing when all of it is saved. */
export interface TypedMessage {
  dispona: 'typed';
  typed: readonly Typed[];
}

export const isTypedMessage = (data: unknown): data is TypedMessage =>
  typeof data === 'object' && data !== null && (data as { dispona?: unknown }).dispona === 'typed';
