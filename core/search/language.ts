import { languagePart } from '../shared/language-part';
import { newStemmer } from 'snowball-stemmers';
import { fold } from '../shared/fold';
import type { Language } from './text-query';

/** Stems are kept up to so many words, then looked up anew. */
const MOST_KEPT = 60_000;

const fillers: Record<string, string> = {
  en: 'a an and are as at be best buy by can do for from good have i in is it its me my need of on or our some something that the their them these this to want we what which with without you your',
  de: 'alle als am an auch auf aus bei das dem den der des die ein eine einem einen einer eines er es fur gut gute guter gutes hat ich ihr im in ist kaufen mein meine mit nach oder ohne sich sie sind um und uns unser vom von was wer wie wir zu zum zur',
};

/** Words in the many whose form for one no rule of a stemmer makes. */
/** What a stemmer would take the wrong letters off; then words in the many that no rule of a stemmer makes one of. */
const irregular: Record<string, Record<string, string>> = {
  de: { gans: 'ganse', hals: 'halse', kurs: 'kurse', puls: 'pulse', kurses: 'kurse', kursen: 'kurse' },
  en: {
    calves: 'calf',
    children: 'child',
    feet: 'foot',
    geese: 'goose',
    halves: 'half',
    hooves: 'hoof',
    knives: 'knife',
    leaves: 'leaf',
    lives: 'life',
    loaves: 'loaf',
    men: 'man',
    mice: 'mouse',
    people: 'person',
    scarves: 'scarf',
    shelves: 'shelf',
    teeth: 'tooth',
    wives: 'wife',
    women: 'woman',
  },
};

/** The stemmer of each language of which there is one, by the beginning of its locale. */
const stemmers: Record<string, string> = {
  da: 'danish',
  de: 'german',
  en: 'english',
  es: 'spanish',
  fi: 'finnish',
  fr: 'french',
  it: 'italian',
  nb: 'norwegian',
  nl: 'dutch',
  no: 'norwegian',
  pt: 'portuguese',
  sv: 'swedish',
};

/** Languages that write words together, with the letters that may stand between them; the longest first. */
const links: Record<string, readonly string[]> = {
  da: ['e', 's'],
  de: ['en', 'er', 'es', 'n', 's', 'e'],
  nl: ['en', 'er', 's', 'e'],
  no: ['e', 's'],
  nb: ['e', 's'],
  sv: ['s', 'e'],
};

const languages = new Map<string, Language>();

/** What is known of the language of a locale such as "en" or "de-AT"; of others, words stay as they are. */
export function languageOf(locale: string): Language {
  const key = languagePart(locale);
  const known = languages.get(key);
  if (known) return known;
  const name = stemmers[key];
  const stemmer = name === undefined ? undefined : newStemmer(name);
  const words = new Set((fillers[key] ?? '').split(' '));
  const inOne = new Map(Object.entries(irregular[key] ?? {}));
  const stems = new Map<string, string>();
  const language: Language = {
    stem: (word) => {
      let stem = stems.get(word);
      if (stem === undefined) {
        if (stems.size >= MOST_KEPT) stems.clear();
        // What holds a digit is a number, a size or a code, and has no other forms.
        stem = !stemmer || /\d/.test(word) ? word : fold(stemmer.stem(inOne.get(word) ?? word));
        stems.set(word, stem);
      }
      return stem;
    },
    isFiller: (word) => words.has(word),
    ...(links[key] && { links: links[key] }),
  };
  languages.set(key, language);
  return language;
}
