import { Controller, Get } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { VisitorsToo } from '../session/access.js';

@Controller('health')
@VisitorsToo()
export class HealthController {
  constructor(private readonly sequelize: Sequelize) {}

  /** Answers once the database answers; a database that does not is a 503 from the problem filter. */
  @Get()
  async read(): Promise<{ status: 'ok' }> {
    await this.sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
    return { status: 'ok' };
  }
}
