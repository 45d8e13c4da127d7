import { Controller, Get, Header, Param, Query, Res } from '@nestjs/common';
import type { Response } from 'express';
import { ReportParam, ReportQueryDto, type ReportView } from '@vendu/contract';
import { reportCsv } from './report-csv.js';
import { ReportsService } from './reports.service.js';

@Controller('reports')
export class ReportsController {
  constructor(private readonly service: ReportsService) {}

  @Get(':report')
  read(@Param() { report }: ReportParam, @Query() { days }: ReportQueryDto): Promise<ReportView> {
    return this.service.read(report, days);
  }

  /** Its table as a file. */
  @Get(':report/table.csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  async table(
    @Param() { report }: ReportParam,
    @Query() { days }: ReportQueryDto,
    @Res({ passthrough: true }) response: Response,
  ): Promise<string> {
    const view = await this.service.read(report, days);
    response.set('Content-Disposition', `attachment; filename="vendu-${report}-since-${view.since}.csv"`);
    return reportCsv(view);
  }
}
