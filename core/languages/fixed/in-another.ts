/** The same words in another language: text for text, and forms by number where there are some. */
export type InAnother<C> = { readonly [K in keyof C]: C[K] extends string ? string : Readonly<Record<string, string>> };
