import type { FieldError, LotFactsDto } from '@vendu/contract';

/** What the fields of a lot say against each other; each by itself is checked before. */
export function reversedElevation({ elevationFromM, elevationToM }: LotFactsDto): FieldError[] {
  if (elevationFromM === null || elevationToM === null || elevationToM >= elevationFromM) return [];
  return [
    {
      field: 'elevationToM',
      message: `The elevation runs down from ${elevationFromM} to ${elevationToM} m; enter the lower figure first.`,
      allowed: `${elevationFromM} m or more`,
    },
  ];
}
