import type {
  EditLotDto,
  KinLotView,
  LotsPageView,
  LotsQueryDto,
  LotView,
  NewLotDto,
  RoastBatchDto,
} from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { kinTags, LIST, lotTags, touchedByFacts } from './tags';

const lotQueries = api.injectEndpoints({
  endpoints: (build) => ({
    lot: build.query<LotView, number>({
      query: (id) => `lots/${id}`,
      providesTags: (_, __, id) => lotTags(id),
    }),
  }),
});

const showAnswer = showing<LotView>((lot) => lotQueries.util.updateQueryData('lot', lot.id, () => lot));

export const lotsApi = lotQueries.injectEndpoints({
  endpoints: (build) => ({
    lots: build.query<LotsPageView, Partial<LotsQueryDto>>({
      query: (params) => ({ url: 'lots', params }),
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
    kin: build.query<KinLotView[], number>({
      query: (id) => `lots/${id}/kin`,
      providesTags: (_, __, id) => kinTags(id),
    }),
    takeInLot: build.mutation<LotView, NewLotDto>({
      query: (body) => ({ url: 'lots', method: 'POST', body }),
      invalidatesTags: (lot) => (lot ? [{ type: 'Lot', id: LIST }] : []),
    }),
    editLot: build.mutation<LotView, { id: number; lot: EditLotDto }>({
      query: ({ id, lot }) => ({ url: `lots/${id}`, method: 'PATCH', body: lot }),
      onQueryStarted: showAnswer,
      invalidatesTags: (lot) => (lot ? touchedByFacts(lot.id) : []),
    }),
    importLots: build.mutation<{ ids: number[] }, NewLotDto[]>({
      query: (lots) => ({ url: 'lots/import', method: 'POST', body: { lots } }),
      invalidatesTags: (_, error) => (error ? [] : [{ type: 'Lot', id: LIST }]),
    }),
    weighStock: build.mutation<LotView, { id: number; massG: number }>({
      query: ({ id, massG }) => ({ url: `lots/${id}/stock`, method: 'POST', body: { massG } }),
      onQueryStarted: showAnswer,
      invalidatesTags: (lot) => (lot ? [{ type: 'Lot', id: LIST }] : []),
    }),
    addRoastBatch: build.mutation<LotView, { id: number; batch: RoastBatchDto }>({
      query: ({ id, batch }) => ({ url: `lots/${id}/roast-batches`, method: 'POST', body: batch }),
      onQueryStarted: showAnswer,
      invalidatesTags: (lot) => (lot ? touchedByFacts(lot.id) : []),
    }),
  }),
});

export const {
  useLotsQuery,
  useLotQuery,
  useKinQuery,
  useTakeInLotMutation,
  useEditLotMutation,
  useAddRoastBatchMutation,
  useImportLotsMutation,
  useWeighStockMutation,
} = lotsApi;
