import { Inject, Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { readFileSync } from 'node:fs';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { OperationsView } from '@vendu/contract';
import { CareService } from '../care/care.service.js';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { MIGRATIONS } from '../database/migrations/index.js';
import { Statements } from '../database/statements.js';
import { WebhookDeliveryModel } from '../webhooks/webhook-delivery.model.js';
import { copiesIn } from './copies.js';
import { freeBytesAt } from './free-space.js';
import { Metrics } from './metrics.js';
import { nodesOf } from './nodes.js';
import { Room } from './room.js';

type Database = Pick<OperationsView['database'], 'version' | 'aheadMs' | 'freeBytes' | 'nodes'>;

const LARGEST = 5;
const SLOWEST = 8;
const GIVEN_UP_DAYS = 7;

const { version } = JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8')) as {
  version: string;
};

/** Gathers how the application runs. Nothing of it is what people typed. */
@Injectable()
export class OperationsService {
  private readonly startedAt = new Date();

  constructor(
    private readonly sequelize: Sequelize,
    private readonly statements: Statements,
    private readonly metrics: Metrics,
    private readonly care: CareService,
    private readonly room: Room,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  async read(): Promise<OperationsView> {
    const { backupsFolder, tracesKeptDays, serverName } = this.configuration;
    const [database, tables, taken, copies, webhooks] = await Promise.all([
      this.database(),
      this.tables(),
      this.taken(),
      backupsFolder === null ? null : copiesIn(backupsFolder),
      webhooksNow(),
    ]);
    const { at, isFaulty } = this.care.state();
    return {
      version,
      node: process.version,
      server: serverName,
      startedAt: this.startedAt.toISOString(),
      now: new Date().toISOString(),
      schema: {
        step: taken.at(-1) ?? '',
        pending: MIGRATIONS.filter(({ name }) => !taken.includes(name)).length,
      },
      database: {
        ...database,
        bytes: tables.reduce((sum, each) => sum + each.bytes, 0),
        largest: tables.slice(0, LARGEST),
        isFull: this.room.isFull,
      },
      copies,
      requests: this.metrics.summary(),
      slow: this.statements.slowest(SLOWEST),
      webhooks,
      care: { at: at?.toISOString() ?? null, isFaulty },
      traces: { bytes: tables.find(({ table }) => table === 'traces')?.bytes ?? 0, keptDays: tracesKeptDays },
    };
  }

  /** Its clock against this server's, in the middle of the time that asking took. */
  private async database(): Promise<Database> {
    const asked = Date.now();
    const [row] = await this.sequelize.query<{
      version: string;
      folder: string;
      nowMs: string;
      address: string | null;
      size: string | null;
    }>(
      `SELECT VERSION() AS version, @@datadir AS folder, ROUND(UNIX_TIMESTAMP(NOW(3)) * 1000) AS nowMs,
        (SELECT variable_value FROM information_schema.global_variables
          WHERE variable_name = 'wsrep_cluster_address') AS address,
        (SELECT variable_value FROM information_schema.global_status
          WHERE variable_name = 'wsrep_cluster_size') AS size`,
      { type: QueryTypes.SELECT },
    );
    const middle = (asked + Date.now()) / 2;
    // By a socket it is on this machine; elsewhere its disk is not to be seen from here.
    const isHere = this.configuration.database.socketPath !== null;
    return {
      version: row?.version ?? '',
      aheadMs: Math.round(Number(row?.nowMs ?? middle) - middle),
      freeBytes: isHere && row ? await freeBytesAt(row.folder) : null,
      nodes: nodesOf(row?.address ?? null, row?.size ?? null),
    };
  }

  private async tables(): Promise<{ table: string; bytes: number }[]> {
    const rows = await this.sequelize.query<{ name: string; bytes: string }>(
      `SELECT table_name AS name, data_length + index_length AS bytes FROM information_schema.tables
       WHERE table_schema = DATABASE() ORDER BY data_length + index_length DESC`,
      { type: QueryTypes.SELECT },
    );
    return rows.map(({ name, bytes }) => ({ table: name, bytes: Number(bytes) }));
  }

  private async taken(): Promise<string[]> {
    const rows = await this.sequelize.query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
      type: QueryTypes.SELECT,
    });
    return rows.map(({ name }) => name);
  }
}

async function webhooksNow(): Promise<OperationsView['webhooks']> {
  const [waiting, givenUp] = await Promise.all([
    WebhookDeliveryModel.count({ where: { nextTryAt: { [Op.not]: null } } }),
    WebhookDeliveryModel.count({
      where: {
        nextTryAt: null,
        toldAt: null,
        createdAt: { [Op.gte]: subDays(new Date(), GIVEN_UP_DAYS) },
      },
    }),
  ]);
  return { waiting, givenUp };
}
