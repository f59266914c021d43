import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { languageRoutes, type TextPlace, type TranslatedUnit } from '../../contract/languages';
import type { AnswerOf, BodyInput } from '../../contract/route';
import type { WordedKind } from '../../core/model/wording';
import { call } from './api';

export type { BroughtText, LanguageRow, StateCounts, TextPlace, TranslatedUnit } from '../../contract/languages';
export type TextState = TranslatedUnit['state'];

const KEY = 'languages';

export const useLanguages = () =>
  useQuery({ queryKey: [KEY], queryFn: ({ signal }) => call(languageRoutes.overview, { signal }) });

export interface ThingsWanted {
  kind?: WordedKind;
  states?: readonly TextState[];
  q: string;
  offset: number;
}

export const useThings = (locale: string, { kind, states, q, offset }: ThingsWanted) =>
  useQuery({
    queryKey: [KEY, locale, 'things', kind, states?.join(), q, offset],
    queryFn: ({ signal }) =>
      call(languageRoutes.things, {
        params: { locale },
        query: { kind, ...(states && { states: states.join() }), ...(q && { q }), offset },
        signal,
      }),
    placeholderData: keepPreviousData,
  });

type Texts = AnswerOf<typeof languageRoutes.texts>;
const textsKey = (locale: string, kind: WordedKind, id: string) => [KEY, locale, 'texts', kind, id];

export const useTexts = (locale: string, kind: WordedKind, id: string) =>
  useQuery({
    queryKey: textsKey(locale, kind, id),
    queryFn: ({ signal }) => call(languageRoutes.texts, { params: { locale }, query: { kind, id }, signal }),
  });

/** Earlier translations that are like a text. They change little while one text is translated. */
export const useMatches = (locale: string, text: string, isWanted: boolean) =>
  useQuery({
    queryKey: [KEY, locale, 'matches', text],
    queryFn: ({ signal }) => call(languageRoutes.matches, { params: { locale }, body: { text }, signal }),
    enabled: isWanted,
  });

/** The next text in one of some states behind a place; null where there is none left. */
export const nextText = async (
  locale: string,
  at: Partial<TextPlace>,
  states: readonly TextState[],
  of: WordedKind | undefined,
): Promise<TextPlace | null> => {
  const query = { ...at, states: states.join(), ...(of && { of }) };
  return (await call(languageRoutes.next, { params: { locale }, query })).place;
};

type KeptTexts = BodyInput<typeof languageRoutes.save>['texts'];

/** Keeps translations of one thing. */
export function useKeepTexts(locale: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (texts: KeptTexts) => call(languageRoutes.save, { params: { locale }, body: { texts } }),
    // What was kept is shown at once; what follows from it, such as an address, comes with the next answer.
    onSuccess: (_, texts) => {
      const [{ kind, id }] = texts as [KeptTexts[number]];
      const kept = new Map(texts.map(({ path, text }) => [path, text]));
      client.setQueryData<Texts>(textsKey(locale, kind, id), (before) =>
        before && {
          ...before,
          units: before.units.map((unit) => {
            const text = kept.get(unit.path);
            return text === undefined
              ? unit
              : {
                  ...unit,
                  done: text,
                  draft: null,
                  madeFrom: null,
                  state: text === null ? (unit.optional ? 'same' : 'missing') : 'done',
                };
          }),
        },
      );
      void client.invalidateQueries({ queryKey: [KEY] });
    },
  });
}

export function useLanguageWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries();
  return {
    add: useMutation({
      mutationFn: (locale: string) => call(languageRoutes.add, { body: { locale } }),
      onSuccess,
    }),
    change: useMutation({
      mutationFn: ({ locale, ...body }: { locale: string } & BodyInput<typeof languageRoutes.change>) =>
        call(languageRoutes.change, { params: { locale }, body }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (locale: string) => call(languageRoutes.remove, { params: { locale } }),
      onSuccess,
    }),
    draft: useMutation({
      mutationFn: ({ locale, ...body }: { locale: string } & BodyInput<typeof languageRoutes.draft>) =>
        call(languageRoutes.draft, { params: { locale }, body }),
      onSuccess,
    }),
    dropDrafts: useMutation({
      mutationFn: (locale: string) => call(languageRoutes.dropDrafts, { params: { locale } }),
      onSuccess,
    }),
    bring: useMutation({
      mutationFn: ({ locale, ...body }: { locale: string; name: string; text: string }) =>
        call(languageRoutes.bring, { params: { locale }, body }),
    }),
    take: useMutation({
      mutationFn: ({ locale, ...body }: { locale: string; token: string; without: number[] }) =>
        call(languageRoutes.take, { params: { locale }, body }),
      onSuccess,
    }),
  };
}

/** Where a browser fetches the texts of a language as a file. */
export const fileAddress = (locale: string, format: 'xliff' | 'csv', states: readonly TextState[]): string =>
  `/api/languages/${locale}/file?format=${format}&states=${states.join()}`;
