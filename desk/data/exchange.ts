import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { exchangeRoutes, type ImportChanges, type PlannedState } from '../../contract/exchange';
import type { BodyInput } from '../../contract/route';
import { call } from './api';

export type { ImportAnswer, ImportChanges, ImportPreview, ImportSettings, PlannedState } from '../../contract/exchange';

export const useImports = () =>
  useQuery({ queryKey: ['imports'], queryFn: () => call(exchangeRoutes.imports) });

export const useImport = (id: string) =>
  useQuery({ queryKey: ['imports', id], queryFn: () => call(exchangeRoutes.importFile, { params: { id } }) });

/** What a file would do; asked for again whenever its settings, or the goods, change. */
export const useImportPreview = (id: string, only: PlannedState | null, offset: number, limit: number) =>
  useQuery({
    queryKey: ['imports', id, 'preview', only, offset],
    queryFn: ({ signal }) => call(exchangeRoutes.previewImport, { params: { id }, body: { only, offset, limit }, signal }),
    placeholderData: keepPreviousData,
  });

export function useImportWrites(id: string) {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: ['imports', id, 'preview'] });
  return {
    change: useMutation({
      // One after another: an earlier answer must not stand over a later one.
      scope: { id: `import ${id}` },
      mutationFn: (changes: ImportChanges) =>
        call(exchangeRoutes.changeImport, { params: { id }, body: changes }),
      onSuccess: (answer) => {
        client.setQueryData(['imports', id], answer);
        return again();
      },
    }),
    run: useMutation({
      mutationFn: () => call(exchangeRoutes.runImport, { params: { id } }),
      onSuccess: () => client.invalidateQueries({ queryKey: ['imports'] }),
    }),
    drop: useMutation({
      mutationFn: () => call(exchangeRoutes.dropImport, { params: { id } }),
      onSuccess: () => client.invalidateQueries({ queryKey: ['imports'], exact: true }),
    }),
  };
}

export function useBringFile() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (file: File) => call(exchangeRoutes.addImport, { files: [file] }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['imports'], exact: true }),
  });
}

export const useExports = () => useQuery({ queryKey: ['exports'], queryFn: () => call(exchangeRoutes.exports) });

export function useMakeFile() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: BodyInput<typeof exchangeRoutes.addExport>) => call(exchangeRoutes.addExport, { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['exports'] }),
  });
}

/** Columns of files that go out, kept under names. */
export function useColumnSets() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['exports'] });
  return {
    keep: useMutation({
      mutationFn: (body: BodyInput<typeof exchangeRoutes.keepColumns>) => call(exchangeRoutes.keepColumns, { body }),
      onSuccess,
    }),
    drop: useMutation({
      mutationFn: (id: string) => call(exchangeRoutes.dropColumns, { params: { id } }),
      onSuccess,
    }),
  };
}

/** How the columns of a file are taken, kept under names. */
export function useMappings(id: string) {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: ['imports', id] });
  return {
    keep: useMutation({
      mutationFn: (name: string) => call(exchangeRoutes.keepMapping, { params: { id }, body: { name } }),
      onSuccess: again,
    }),
    take: useMutation({
      // After what was changed before, as all changes of one file.
      scope: { id: `import ${id}` },
      mutationFn: (mapping: string) => call(exchangeRoutes.takeMapping, { params: { id }, body: { mapping } }),
      onSuccess: again,
    }),
    drop: useMutation({
      mutationFn: (mapping: string) => call(exchangeRoutes.dropMapping, { params: { id: mapping } }),
      onSuccess: again,
    }),
  };
}
