import { Injectable } from '@nestjs/common';
import { formatISO, subDays } from 'date-fns';
import {
  coffeeUsedReport,
  dialInReport,
  forecastReport,
  grinderReport,
  hitRateReport,
  repeatingReport,
  tasterReport,
  type Report,
  type ReportName,
} from '@vendu/core';
import type { ReportView } from '@vendu/contract';
import { ChangesService } from '../changes/changes.service.js';
import { TastersService } from '../tasters/tasters.service.js';
import { ReportFacts } from './report-facts.js';

/** A report, and how many records there are where it read fewer. */
interface Read {
  report: Report;
  total?: number;
}

/** What the house's own records add up to. */
@Injectable()
export class ReportsService {
  private readonly readers: Record<ReportName, (since: Date) => Promise<Read>>;

  constructor(facts: ReportFacts, changes: ChangesService, tasters: TastersService) {
    this.readers = {
      'dial-in': async (since) => {
        const { rows, total } = await facts.dialledIn(since);
        return { report: dialInReport(rows), total };
      },
      forecasts: async (since) => {
        const { rows, total } = await facts.changesBrewed(since);
        return { report: forecastReport(rows), total };
      },
      changes: async (since) => {
        const { model, rules, people } = await changes.scores(since);
        return {
          report: hitRateReport({
            model,
            rules: rules.map((rule) => ({ ...rule, name: rule.ruleId.replaceAll('-', ' ') })),
            people,
          }),
        };
      },
      tasters: async () => ({ report: tasterReport(await tasters.all()) }),
      repeating: async (since) => {
        const { rows, total } = await facts.versionsProven(since);
        return { report: repeatingReport(rows), total };
      },
      grinders: async (since) => {
        const { rows, total } = await facts.lastRechecks(since);
        return { report: grinderReport(rows), total };
      },
      'coffee-used': async (since) => {
        const [{ rows, total }, months] = await Promise.all([facts.lotUse(since), facts.gramsByMonth(since)]);
        return { report: coffeeUsedReport(rows, months), total };
      },
    };
  }

  async read(name: ReportName, days: number): Promise<ReportView> {
    const since = subDays(new Date(), days);
    const { report, total } = await this.readers[name](since);
    return {
      ...report,
      name,
      since: formatISO(since, { representation: 'date' }),
      total: total ?? report.rows.length,
    };
  }
}
