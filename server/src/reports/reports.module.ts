import { Module } from '@nestjs/common';
import { ChangesModule } from '../changes/changes.module.js';
import { TastersModule } from '../tasters/tasters.module.js';
import { ReportFacts } from './report-facts.js';
import { ReportsController } from './reports.controller.js';
import { ReportsService } from './reports.service.js';

@Module({
  imports: [ChangesModule, TastersModule],
  controllers: [ReportsController],
  providers: [ReportFacts, ReportsService],
})
export class ReportsModule {}
