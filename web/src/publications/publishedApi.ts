import type { PublicRecipeListItem, PublicRecipeView } from '@vendu/contract';
import { api } from '../api/api';

export const { usePublishedQuery, usePublishedRecipeQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    published: build.query<PublicRecipeListItem[], void>({
      query: () => 'published',
      providesTags: ['Published'],
    }),
    publishedRecipe: build.query<PublicRecipeView, string>({
      query: (slug) => `published/${encodeURIComponent(slug)}`,
      providesTags: ['Published'],
    }),
  }),
});
