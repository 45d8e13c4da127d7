import { Controller, Get, Inject } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { Room } from '../operations/room.js';
import { ProblemError } from '../problem/problem-error.js';
import { VisitorsToo } from '../session/access.js';

@Controller('health')
@VisitorsToo()
export class HealthController {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly room: Room,
    @Inject(CONFIGURATION) private readonly configuration: Pick<Configuration, 'patience'>,
  ) {}

  /**
   * Whether the server can do its work: the database answers, and soon. Where its disk is full, pages are served and
   * nothing is stored: that is told, and is no reason to send people elsewhere.
   */
  @Get()
  async ready(): Promise<{ status: 'ok' | 'no room to store' }> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(
        () => reject(new ProblemError('unavailable', 'The database does not answer soon enough.')),
        this.configuration.patience.readyS * 1000,
      );
    });
    try {
      await Promise.race([this.sequelize.query('SELECT 1', { type: QueryTypes.SELECT }), late]);
      return { status: this.room.isFull ? 'no room to store' : 'ok' };
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
