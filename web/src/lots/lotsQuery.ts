import { checkDto, LotsQueryDto } from '@vendu/contract';

/** What the list shows when the address says nothing. */
export const WHOLE_LIST: LotsQueryDto = new LotsQueryDto();

/** Search, filters, sort and page as the address has them; what cannot be read there counts as not said. */
export function lotsQueryOf(address: URLSearchParams): LotsQueryDto {
  const page = Number(address.get('page') ?? '1');
  const asked = { ...WHOLE_LIST, ...Object.fromEntries(address), page };
  const wrong = new Set(checkDto(LotsQueryDto, asked).map(({ field }) => field));
  const kept = Object.fromEntries(Object.entries(asked).filter(([field]) => !wrong.has(field)));
  return { ...WHOLE_LIST, ...kept };
}

/** The address of a list: only what differs from the whole list is said. */
export function addressOf(query: LotsQueryDto): URLSearchParams {
  const said = Object.entries(query).filter(
    ([field, value]) =>
      value !== undefined && value !== '' && value !== WHOLE_LIST[field as keyof LotsQueryDto],
  );
  return new URLSearchParams(said.map(([field, value]) => [field, String(value)]));
}
