import type { PublicRecipeView, PublishedPageView } from '@vendu/contract';
import { api } from '../api/api';

export const { usePublishedQuery, usePublishedRecipeQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    published: build.query<PublishedPageView, number>({
      query: (page) => ({ url: 'published', params: { page } }),
      providesTags: ['Published'],
    }),
    publishedRecipe: build.query<PublicRecipeView, string>({
      query: (slug) => `published/${encodeURIComponent(slug)}`,
      providesTags: ['Published'],
    }),
  }),
});
