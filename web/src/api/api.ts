import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** The one API of the server; each feature adds its endpoints to it. */
export const api = createApi({
  reducerPath: 'api',
  // Absolute, since only browsers resolve a relative address.
  baseQuery: fetchBaseQuery({ baseUrl: `${window.location.origin}/api` }),
  tagTypes: ['Practice', 'Running', 'Session', 'Kit', 'Lot', 'Recipe', 'Brew', 'Published'],
  endpoints: () => ({}),
});
