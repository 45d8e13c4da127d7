import type { EditView } from '@vendu/contract';
import { api } from './api';

const editsApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** Read anew whenever somebody looks: everything that is saved may add to it. */
    edits: build.query<EditView[], string>({ query: (of) => `${of}/edits`, keepUnusedDataFor: 0 }),
  }),
});

export const { useEditsQuery } = editsApi;
