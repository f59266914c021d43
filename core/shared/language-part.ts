/** The language of a locale: “de” of “de-AT”. Some languages have three letters, so it is not the first two. */
export const languagePart = (locale: string): string => locale.split('-')[0]!.toLowerCase();
