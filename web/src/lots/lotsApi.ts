import type {
  EditLotDto,
  KinLotView,
  KitView,
  LotsPageView,
  LotsQueryDto,
  LotView,
  NewLotDto,
  RoastBatchDto,
} from '@vendu/contract';
import { api } from '../api/api';

export const {
  useKitQuery,
  useLotsQuery,
  useLotQuery,
  useKinQuery,
  useTakeInLotMutation,
  useEditLotMutation,
  useAddRoastBatchMutation,
  useImportLotsMutation,
  useWeighStockMutation,
} = api.injectEndpoints({
  endpoints: (build) => ({
    kit: build.query<KitView, void>({ query: () => 'kit', providesTags: ['Kit'] }),
    lots: build.query<LotsPageView, Partial<LotsQueryDto>>({
      query: (params) => ({ url: 'lots', params }),
      providesTags: ['Lot'],
    }),
    lot: build.query<LotView, number>({ query: (id) => `lots/${id}`, providesTags: ['Lot'] }),
    kin: build.query<KinLotView[], number>({
      query: (id) => `lots/${id}/kin`,
      providesTags: ['Lot', 'Recipe'],
    }),
    takeInLot: build.mutation<LotView, NewLotDto>({
      query: (body) => ({ url: 'lots', method: 'POST', body }),
      invalidatesTags: ['Lot'],
    }),
    editLot: build.mutation<LotView, { id: number; lot: EditLotDto }>({
      query: ({ id, lot }) => ({ url: `lots/${id}`, method: 'PATCH', body: lot }),
      invalidatesTags: (_, error) => (error ? [] : ['Lot', 'Recipe', 'Brew', 'Published']),
    }),
    importLots: build.mutation<{ ids: number[] }, NewLotDto[]>({
      query: (lots) => ({ url: 'lots/import', method: 'POST', body: { lots } }),
      invalidatesTags: (_, error) => (error ? [] : ['Lot']),
    }),
    weighStock: build.mutation<LotView, { id: number; massG: number }>({
      query: ({ id, massG }) => ({ url: `lots/${id}/stock`, method: 'POST', body: { massG } }),
      invalidatesTags: (_, error) => (error ? [] : ['Lot']),
    }),
    addRoastBatch: build.mutation<LotView, { id: number; batch: RoastBatchDto }>({
      query: ({ id, batch }) => ({ url: `lots/${id}/roast-batches`, method: 'POST', body: batch }),
      invalidatesTags: (_, error) => (error ? [] : ['Lot', 'Recipe']),
    }),
  }),
});
