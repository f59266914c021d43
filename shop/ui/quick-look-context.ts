import { createContext } from 'react';

/** Opens a product over the page, by its address; null until that can be done. */
export const QuickLookContext = createContext<((url: string) => void) | null>(null);
