import type { PublishedPageView } from '@vendu/contract';
import { api } from '../api/api';

export const { usePublishedQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    published: build.query<PublishedPageView, number>({
      query: (page) => ({ url: 'published', params: { page } }),
      providesTags: ['Published'],
    }),
  }),
});
