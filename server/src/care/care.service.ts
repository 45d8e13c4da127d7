import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { PublicationsService } from '../publications/publications.service.js';
import { LotEvidenceService } from '../recipes/lot-evidence.service.js';
import { RunningBrewsService } from '../running-brews/running-brews.service.js';
import { WatchService } from '../watch/watch.service.js';
import { Writing } from '../writing/writing.js';
import { forgetOldTraces } from './forget-old-traces.js';

const SWEPT_EVERY_MS = 6 * 3_600_000;

/** What the server does by itself: sets right at its start what a fault may have left, and forgets what is over. */
@Injectable()
export class CareService implements OnApplicationBootstrap, OnModuleDestroy {
  private sweptAt: Date | null = null;
  private isFaulty = false;
  private readonly logger = new Logger(CareService.name);
  private readonly timer = setInterval(() => void this.attempt(() => this.sweep()), SWEPT_EVERY_MS).unref();

  constructor(
    private readonly sequelize: Sequelize,
    private readonly publications: PublicationsService,
    private readonly runningBrews: RunningBrewsService,
    private readonly evidence: LotEvidenceService,
    private readonly watch: WatchService,
    private readonly writing: Writing,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  /** When it last saw to what is over, and whether anything of its work failed since. */
  state(): { at: Date | null; isFaulty: boolean } {
    return { at: this.sweptAt, isFaulty: this.isFaulty };
  }

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
    await forgetOldTraces(this.sequelize, this.configuration.tracesKeptDays);
    this.sweptAt = new Date();
    this.isFaulty = false;
  }

  /** A database that does not answer must not keep the application from saying so. */
  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.isFaulty = true;
      this.logger.warn(error);
    }
  }
}
