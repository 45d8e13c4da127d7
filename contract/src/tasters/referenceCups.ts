import { IsBoolean, IsIn, ValidateIf } from 'class-validator';
import { REFERENCE_KINDS, REFERENCE_STEPS, type ReferenceKind, type ReferenceRecord } from '@vendu/core';
import { OneOf } from '../validation/decorators.js';

/** What somebody said of one set of reference cups. */
export class ReferenceTrialDto {
  @OneOf({ label: 'Kind of cups', values: REFERENCE_KINDS })
  kind!: ReferenceKind;

  /** Of strength; of the other kinds `null`. */
  @ValidateIf(({ kind }: ReferenceTrialDto) => kind === 'strength')
  @IsIn(REFERENCE_STEPS, { message: `Difference must be one of: ${REFERENCE_STEPS.join(', ')} %.` })
  differencePercent: number | null = null;

  @IsBoolean({ message: 'Right must be yes or no.' })
  isRight!: boolean;
}

/** One's own record; nobody else is shown it. */
export interface ReferenceCupsView {
  records: ReferenceRecord[];
}
