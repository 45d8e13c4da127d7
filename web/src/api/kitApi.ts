import type {
  BrewerDto,
  FeederDto,
  GrinderDto,
  HouseDto,
  InstrumentDto,
  KettleDto,
  KitView,
  PaperDto,
  SchoolsDto,
  SieveDto,
  StatedSettingDto,
  WaterDto,
} from '@vendu/contract';
import { api } from './api';

/** What can be added to the kit or changed in it, by its place in the address. */
interface KitBodies {
  brewers: BrewerDto;
  grinders: GrinderDto;
  papers: PaperDto;
  kettles: KettleDto;
  waters: WaterDto;
  instruments: InstrumentDto;
  sieves: SieveDto;
  feeders: FeederDto;
  'stated-settings': StatedSettingDto;
}
type KitPart = keyof KitBodies;
/** What no recipe points at. */
export type RemovablePart = 'sieves' | 'feeders' | 'stated-settings';
export type KitChange = { [P in KitPart]: { part: P; id: number | null; body: KitBodies[P] } }[KitPart];

// Recipes, lots and brews show kit: what changes here changes there. A refused change is fetched anew too.
const SHOWS_KIT = ['Kit', 'Recipe', 'Lot', 'Brew', 'Published'] as const;

export const kitApi = api.injectEndpoints({
  endpoints: (build) => ({
    kit: build.query<KitView, void>({ query: () => 'kit', providesTags: ['Kit'] }),
    saveKit: build.mutation<KitView, KitChange>({
      query: ({ part, id, body }) =>
        id === null
          ? { url: `kit/${part}`, method: 'POST', body }
          : { url: `kit/${part}/${id}`, method: 'PUT', body },
      invalidatesTags: [...SHOWS_KIT],
    }),
    removeKit: build.mutation<KitView, { part: RemovablePart; id: number }>({
      query: ({ part, id }) => ({ url: `kit/${part}/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Kit'],
    }),
    addZeroCheck: build.mutation<KitView, { instrumentId: number; shown: number }>({
      query: ({ instrumentId, shown }) => ({
        url: `kit/instruments/${instrumentId}/zero-checks`,
        method: 'POST',
        body: { shown },
      }),
      invalidatesTags: ['Kit'],
    }),
    changeHouse: build.mutation<KitView, HouseDto>({
      query: (body) => ({ url: 'kit/house', method: 'PUT', body }),
      invalidatesTags: [...SHOWS_KIT],
    }),
    changeSchools: build.mutation<KitView, SchoolsDto>({
      query: (body) => ({ url: 'kit/schools', method: 'PUT', body }),
      invalidatesTags: [...SHOWS_KIT],
    }),
  }),
});

export const {
  useKitQuery,
  useSaveKitMutation,
  useRemoveKitMutation,
  useAddZeroCheckMutation,
  useChangeHouseMutation,
  useChangeSchoolsMutation,
} = kitApi;
