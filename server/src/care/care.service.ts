import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { PublicationsService } from '../publications/publications.service.js';
import { LotEvidenceService } from '../recipes/lot-evidence.service.js';
import { RunningBrewsService } from '../running-brews/running-brews.service.js';
import { WatchService } from '../watch/watch.service.js';
import { Writing } from '../writing/writing.js';

const SWEPT_EVERY_MS = 6 * 3_600_000;

/** What the server does by itself: sets right at its start what a fault may have left, and forgets what is over. */
@Injectable()
export class CareService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger(CareService.name);
  private readonly timer = setInterval(() => void this.attempt(() => this.sweep()), SWEPT_EVERY_MS).unref();

  constructor(
    private readonly sequelize: Sequelize,
    private readonly publications: PublicationsService,
    private readonly runningBrews: RunningBrewsService,
    private readonly evidence: LotEvidenceService,
    private readonly watch: WatchService,
    private readonly writing: Writing,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.attempt(async () => {
      await refreshLotProgress(this.sequelize);
      await this.publications.fillMissingCards();
      await this.publications.fillMissingAddresses();
      await this.watch.fillMissing();
      await this.sweep();
    });
    // Beside the first requests, which do without what is not learned yet: a lot takes a second.
    void this.attempt(async () => {
      await this.evidence.relearnOutdated();
    });
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
  }

  private async sweep(): Promise<void> {
    await this.writing.forgetOldKeys();
    await this.runningBrews.dropLeftBehind();
  }

  /** A database that does not answer must not keep the application from saying so. */
  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.logger.warn(error);
    }
  }
}
