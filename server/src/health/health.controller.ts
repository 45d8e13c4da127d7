import { Controller, Get } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { ProblemError } from '../problem/problem-error.js';
import { VisitorsToo } from '../session/access.js';

/** Whoever asks wants to know now, and not once a frozen database thaws. */
const READY_WITHIN_MS = 2000;

@Controller('health')
@VisitorsToo()
export class HealthController {
  constructor(private readonly sequelize: Sequelize) {}

  /** Whether the server can do its work: the database answers, and soon. */
  @Get()
  async ready(): Promise<{ status: 'ok' }> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(
        () => reject(new ProblemError('unavailable', 'The database does not answer soon enough.')),
        READY_WITHIN_MS,
      );
    });
    try {
      await Promise.race([this.sequelize.query('SELECT 1', { type: QueryTypes.SELECT }), late]);
      return { status: 'ok' };
    } finally {
      clearTimeout(timer);
    }
  }

  /** Whether the server itself runs, whatever its database does: one that answers this need not be started anew. */
  @Get('live')
  live(): { status: 'ok' } {
    return { status: 'ok' };
  }
}
