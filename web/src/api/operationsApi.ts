import type { OperationsView } from '@vendu/contract';
import { api } from './api';

const operationsApi = api.injectEndpoints({
  endpoints: (build) => ({
    operations: build.query<OperationsView, void>({ query: () => 'operations' }),
  }),
});

export const { useOperationsQuery } = operationsApi;
