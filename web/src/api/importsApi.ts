import type { ImportReport, ImportTaken, ImportView } from '@vendu/contract';
import { api } from './api';

/** A zip goes as it is: it is no JSON, and may be large. */
const zip = (url: string, body: File) => ({
  url,
  method: 'POST',
  body,
  headers: { 'Content-Type': 'application/zip' },
});

const importQueries = api.injectEndpoints({
  endpoints: (build) => ({
    imports: build.query<ImportView[], void>({ query: () => 'imports', providesTags: ['Import'] }),
  }),
});

/** What a lab brings may be anything: all that is shown is asked for again. */
const ANYTHING = ['Practice', 'Kit', 'Lot', 'Recipe', 'Brew', 'Published', 'Import'] as const;

const importsApi = importQueries.injectEndpoints({
  endpoints: (build) => ({
    reportOnFile: build.mutation<ImportReport, File>({ query: (file) => zip('imports/report', file) }),
    takeFile: build.mutation<ImportTaken, File>({
      query: (file) => zip(`imports?name=${encodeURIComponent(file.name)}`, file),
      invalidatesTags: [...ANYTHING],
    }),
    undoImport: build.mutation<ImportView, number>({
      query: (id) => ({ url: `imports/${id}/undone`, method: 'PUT' }),
      invalidatesTags: [...ANYTHING],
    }),
  }),
});

export const { useImportsQuery, useReportOnFileMutation, useTakeFileMutation, useUndoImportMutation } =
  importsApi;
