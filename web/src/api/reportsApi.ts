import type { ReportName } from '@vendu/core';
import type { ReportView } from '@vendu/contract';
import { api } from './api';
import { LIST } from './tags';

const reportsApi = api.injectEndpoints({
  endpoints: (build) => ({
    report: build.query<ReportView, { name: ReportName; days: number }>({
      query: ({ name, days }) => `reports/${name}?days=${days}`,
      providesTags: [
        { type: 'Lot', id: LIST },
        { type: 'Recipe', id: LIST },
        { type: 'Brew', id: LIST },
      ],
    }),
  }),
});

export const { useReportQuery } = reportsApi;
