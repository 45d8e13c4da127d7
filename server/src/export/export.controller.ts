import { Controller, Get, Logger, Res } from '@nestjs/common';
import { format } from 'date-fns';
import type { Response } from 'express';
import { LeadOnly } from '../session/access.js';
import { ExportService } from './export.service.js';

/** All of a lab leaves by one door. */
@Controller('export')
export class ExportController {
  private readonly logger = new Logger(ExportController.name);

  constructor(private readonly service: ExportService) {}

  @Get('lab.zip')
  @LeadOnly()
  async lab(@Res() response: Response): Promise<void> {
    const now = new Date();
    response.set({
      'Content-Type': 'application/zip',
      'Content-Disposition': `attachment; filename="vendu-${format(now, 'yyyy-MM-dd')}.zip"`,
      'Cache-Control': 'private, no-store',
    });
    try {
      await this.service.writeTo(response, now);
    } catch (error) {
      if (!response.headersSent) throw error;
      // Half a file must not look like a whole one: the connection breaks, and the browser says so.
      this.logger.warn(error);
      response.destroy();
    }
  }
}
