import { Injectable } from '@nestjs/common';
import { subDays, subHours } from 'date-fns';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { RunningBrewDto, RunningBrewKept, RunningBrewView } from '@vendu/contract';
import { storableTrace, type Trace } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { addToLog, dropLogs, logOfBrew, logsOfBrews } from '../brew-logs/brew-logs.js';
import { inTransaction } from '../writing/transactions.js';
import { RunningBrewModel } from './running-brew.model.js';

/** What has not been told of for so long is nobody's brew of today, and after that long nobody's at all. */
const SHOWN_HOURS = 24;
const KEPT_DAYS = 14;

@Injectable()
export class RunningBrewsService {
  constructor(private readonly sequelize: Sequelize) {}

  /** All brews on benches of the lab today, so that another device can go on with one. */
  async all(): Promise<RunningBrewView[]> {
    const rows = await RunningBrewModel.findAll({
      where: { updatedAt: { [Op.gt]: subHours(new Date(), SHOWN_HOURS) } },
      attributes: { exclude: ['trace'] },
      include: [PersonModel],
      order: [['createdAt', 'ASC']],
    });
    const logs = await logsOfBrews(rows.map(({ clientKey }) => clientKey));
    return rows.map(({ clientKey, seq, lotName, brewerName, state, brewer, updatedAt }) => ({
      key: clientKey,
      seq,
      lotName,
      brewerName,
      state,
      entries: [...(logs.get(clientKey) ?? [])],
      by: brewer.name,
      updatedAt: updatedAt.toISOString(),
    }));
  }

  /** @throws ProblemError `not-found` where no such brew runs */
  async trace(key: string): Promise<Trace | null> {
    const row = await RunningBrewModel.findByPk(key);
    if (!row) throw notFound('running brew');
    return row.trace;
  }

  /**
   * Keeps how far a brew is. What is answered is on the disk. Changes that overtook each other on the way do not
   * undo one another, nothing brings a brew back that is stored or cleared already, and a brew that another device has on
   * its bench stays as that one has it unless this one says that it takes it over: then both their entries are its log.
   *
   * @throws ProblemError `stale` where another device has it
   */
  async keep(
    key: string,
    { device, takesOver, trace, entries, ...brew }: RunningBrewDto,
    person: PersonModel,
  ): Promise<RunningBrewKept> {
    const heard = trace && storableTrace(trace);
    // Looked up by the statement that writes: a brew that is being stored at this moment is waited for. A page that
    // hears no scale takes no curve away. Columns are set in their order: what the others are decided by comes last.
    const statement = `INSERT INTO running_brews
        (client_key, lot_name, brewer_name, seq, state, trace, device, brewed_by, created_at, updated_at)
      SELECT
        :key, :lotName, :brewerName, :seq, :state, :trace, :device, :personId, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)
      FROM DUAL WHERE NOT EXISTS (SELECT 1 FROM brews WHERE client_key = :key LOCK IN SHARE MODE)
      ON DUPLICATE KEY UPDATE
        state = IF(${IS_TAKEN}, VALUES(state), state),
        trace = IF(${IS_TAKEN}, COALESCE(VALUES(trace), trace), trace),
        updated_at = IF(${IS_TAKEN}, VALUES(updated_at), updated_at),
        brewed_by = IF(${IS_TAKEN}, VALUES(brewed_by), brewed_by),
        seq = IF(${IS_TAKEN}, VALUES(seq), seq),
        device = IF(:takesOver, VALUES(device), device)`;
    const replacements = {
      ...brew,
      key,
      device,
      takesOver,
      personId: person.id,
      trace: heard && heard.atMs.length > 0 ? JSON.stringify(heard) : null,
    };
    return inTransaction(this.sequelize, async () => {
      await this.sequelize.query(statement, { replacements });
      const kept = await RunningBrewModel.findByPk(key, {
        attributes: { exclude: ['trace', 'state'] },
        include: [PersonModel],
      });
      if (!kept) return { seq: brew.seq, entries: [] };
      if (kept.device !== device) throw onAnotherBench(kept);
      await addToLog(key, entries, person.id);
      return { seq: kept.seq, entries: takesOver ? [...(await logOfBrew(key))] : [] };
    });
  }

  /**
   * Takes a brew off the bench that has it.
   *
   * @throws ProblemError `stale` where another device has it
   */
  async clear(key: string, device: string | null): Promise<void> {
    await inTransaction(this.sequelize, async () => {
      const cleared = await RunningBrewModel.destroy({ where: { clientKey: key, device } });
      if (cleared > 0) return dropLogs([key]);
      const kept = await RunningBrewModel.findByPk(key, { include: [PersonModel] });
      if (kept) throw onAnotherBench(kept);
    });
  }

  /** Drops what nobody went on with. */
  async dropLeftBehind(): Promise<void> {
    await inTransaction(this.sequelize, async () => {
      const left = await RunningBrewModel.findAll({
        where: { updatedAt: { [Op.lt]: subDays(new Date(), KEPT_DAYS) } },
        attributes: ['clientKey'],
      });
      const keys = left.map(({ clientKey }) => clientKey);
      await RunningBrewModel.destroy({ where: { clientKey: keys } });
      await dropLogs(keys);
    });
  }
}

/** Whether a change is taken: from the device that has the brew and newer, or from one that takes it over. */
const IS_TAKEN = ':takesOver OR (device <=> VALUES(device) AND VALUES(seq) > seq)';

function onAnotherBench({ brewer }: RunningBrewModel): ProblemError {
  return new ProblemError('stale', `${brewer.name} is continuing this brew on another bench.`);
}
