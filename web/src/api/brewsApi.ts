import type {
  BrewListItem,
  BrewsFileDto,
  BrewsFileTaken,
  BrewTraces,
  BrewView,
  FractionDto,
  MendStepDto,
  NewReadingDto,
  PutBrewDto,
  VerdictDto,
  WeighBrewDto,
} from '@vendu/contract';
import { api } from './api';
import { lotsApi } from './lotsApi';
import { recipesApi } from './recipesApi';
import { showing } from './showing';
import { brewTags, touchedByBrew } from './tags';

/** What was read so short ago is not read again when its page opens: it was asked for on the way there. */
export const JUST_READ_S = 2;

const brewQueries = api.injectEndpoints({
  endpoints: (build) => ({
    brew: build.query<BrewView, number>({
      query: (id) => `brews/${id}`,
      providesTags: (brew) => (brew ? brewTags(brew) : []),
    }),
    trace: build.query<BrewTraces, number>({ query: (id) => `brews/${id}/trace` }),
  }),
});

/** The brew, and its line in the lists of its recipe and its lot: what it teaches is learned before they are read again. */
const showAnswer = showing<BrewView>(
  (brew) => brewQueries.util.updateQueryData('brew', brew.id, () => brew),
  (brew) => recipesApi.util.updateQueryData('recipe', brew.recipeId, ({ brews }) => lineShown(brews, brew)),
  (brew) => lotsApi.util.updateQueryData('lot', brew.lot.id, ({ brews }) => lineShown(brews, brew)),
);

function lineShown(lines: BrewListItem[], brew: BrewView): void {
  const line = lines.find(({ id }) => id === brew.id);
  if (!line) return;
  for (const key of Object.keys(line)) Object.assign(line, { [key]: brew[key as keyof BrewListItem] });
}

/** After a refusal all is read again: somebody else may have changed it. */
const changed = (brew: BrewView | undefined) =>
  brew ? touchedByBrew(brew) : (['Brew', 'Lot', 'Recipe'] as const);

export const brewsApi = brewQueries.injectEndpoints({
  endpoints: (build) => ({
    mendStep: build.mutation<BrewView, { id: number; stepIndex: number; mended: MendStepDto }>({
      query: ({ id, stepIndex, mended }) => ({
        url: `brews/${id}/steps/${stepIndex}`,
        method: 'PATCH',
        body: mended,
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    importBrews: build.mutation<BrewsFileTaken, { lotId: number; file: BrewsFileDto }>({
      query: ({ lotId, file }) => ({ url: `lots/${lotId}/brews/import`, method: 'POST', body: file }),
      invalidatesTags: (_, __, { lotId }) => touchedByBrew({ lot: { id: lotId } }),
    }),
    putFractions: build.mutation<BrewView, { id: number; fractions: FractionDto[] }>({
      query: ({ id, fractions }) => ({ url: `brews/${id}/fractions`, method: 'PUT', body: { fractions } }),
      onQueryStarted: showAnswer,
      invalidatesTags: (brew) => (brew ? touchedByBrew(brew) : []),
    }),
    putBrew: build.mutation<BrewView, { key: string; brew: PutBrewDto }>({
      query: ({ key, brew }) => ({ url: `brews/by-key/${key}`, method: 'PUT', body: brew }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    weighBrew: build.mutation<BrewView, { id: number; weighed: WeighBrewDto }>({
      query: ({ id, weighed }) => ({ url: `brews/${id}`, method: 'PATCH', body: weighed }),
      onQueryStarted: showAnswer,
      invalidatesTags: (brew) => (brew ? touchedByBrew(brew) : []),
    }),
    addReading: build.mutation<BrewView, { id: number; reading: NewReadingDto }>({
      query: ({ id, reading }) => ({ url: `brews/${id}/readings`, method: 'POST', body: reading }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    setReadingRemoved: build.mutation<BrewView, { id: number; readingId: number; removed: boolean }>({
      query: ({ id, readingId, removed }) => ({
        url: `brews/${id}/readings/${readingId}${removed ? '' : '/restore'}`,
        method: removed ? 'DELETE' : 'POST',
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    giveVerdict: build.mutation<BrewView, { id: number; verdict: VerdictDto }>({
      query: ({ id, verdict }) => ({ url: `brews/${id}/verdict`, method: 'PUT', body: verdict }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    setAside: build.mutation<BrewView, { id: number; aside: boolean }>({
      query: ({ id, aside }) => ({ url: `brews/${id}/set-aside`, method: aside ? 'POST' : 'DELETE' }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
  }),
});

export const {
  useBrewQuery,
  useTraceQuery,
  useMendStepMutation,
  usePutFractionsMutation,
  usePutBrewMutation,
  useImportBrewsMutation,
  useWeighBrewMutation,
  useAddReadingMutation,
  useSetReadingRemovedMutation,
  useGiveVerdictMutation,
  useSetAsideMutation,
} = brewsApi;
