import { processFaults } from '@vendu/core';
import type { FieldError, LotFactsDto } from '@vendu/contract';

/** What the fields of a lot say against each other; each by itself is checked before. */
export function lotFaults(lot: LotFactsDto): FieldError[] {
  return [...elevationFaults(lot), ...processFaults(lot)];
}

function elevationFaults({ elevationFromM, elevationToM, elevationWord }: LotFactsDto): FieldError[] {
  if (elevationFromM === null) return [];
  if (elevationWord !== null) {
    return [
      {
        field: 'elevationWord',
        message: 'The elevation is there as a figure and as a word; leave one of them out.',
        allowed: 'nothing, beside a figure',
      },
    ];
  }
  if (elevationToM === null || elevationToM >= elevationFromM) return [];
  return [
    {
      field: 'elevationToM',
      message: `The elevation runs down from ${elevationFromM} to ${elevationToM} m; enter the lower figure first.`,
      allowed: `${elevationFromM} m or more`,
    },
  ];
}
