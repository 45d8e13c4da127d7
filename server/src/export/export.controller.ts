import { Controller, Get, Logger, Param, Res } from '@nestjs/common';
import { format } from 'date-fns';
import type { Response } from 'express';
import { LotModel } from '../lots/lot.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { notFound } from '../problem/problem-error.js';
import { slugOf } from '../publications/slug.js';
import { LeadOnly, LeadOrAdmin } from '../session/access.js';
import { ExportService } from './export.service.js';

/** A lab, or one lot of it, leaves by one door. */
@Controller('export')
export class ExportController {
  private readonly logger = new Logger(ExportController.name);

  constructor(private readonly service: ExportService) {}

  @Get('lab.zip')
  @LeadOrAdmin()
  lab(@Res() response: Response): Promise<void> {
    return this.send(response, 'vendu');
  }

  @Get('lots/:lotId.zip')
  @LeadOnly()
  async lot(@Param('lotId', IdPipe) lotId: number, @Res() response: Response): Promise<void> {
    const lot = await LotModel.findByPk(lotId, { attributes: ['name'] });
    if (!lot) throw notFound('lot');
    await this.send(response, slugOf(lot.name), lotId);
  }

  private async send(response: Response, name: string, lotId: number | null = null): Promise<void> {
    const now = new Date();
    response.set({
      'Content-Type': 'application/zip',
      'Content-Disposition': `attachment; filename="${name}-${format(now, 'yyyy-MM-dd')}.zip"`,
      'Cache-Control': 'private, no-store',
    });
    try {
      await this.service.writeTo(response, now, lotId);
    } catch (error) {
      if (!response.headersSent) throw error;
      // Half a file must not look like a whole one: the connection breaks, and the browser says so.
      this.logger.warn(error);
      response.destroy();
    }
  }
}
