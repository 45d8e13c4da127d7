import { Type } from 'class-transformer';
import { REPORTS, type Report, type ReportName } from '@vendu/core';
import { NumberBetween, OneOf } from '../validation/decorators.js';

export class ReportParam {
  @OneOf({ label: 'Report', values: REPORTS })
  report!: ReportName;
}

/** How far back a report looks; the same stands in the address of its page. */
export class ReportQueryDto {
  @Type(() => Number)
  @NumberBetween({ label: 'Days back', unit: '', min: 1, max: 36_500, whole: true })
  days: number = 365;
}

export interface ReportView extends Report {
  name: ReportName;
  /** Calendar date of the first day that counts. */
  since: string;
  /** Rows there are; fewer are sent where they are very many, the newest. */
  total: number;
}
