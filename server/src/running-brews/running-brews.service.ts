import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import type { RunningBrewDto, RunningBrewView } from '@vendu/contract';
import { traceFault, type Trace } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';
import { invalidField, notFound } from '../problem/problem-error.js';
import { RunningBrewModel } from './running-brew.model.js';

@Injectable()
export class RunningBrewsService {
  constructor(private readonly sequelize: Sequelize) {}

  /** All brews on benches of the lab, so that another device can go on with one. */
  async all(): Promise<RunningBrewView[]> {
    const rows = await RunningBrewModel.findAll({
      attributes: { exclude: ['trace'] },
      include: [PersonModel],
      order: [['createdAt', 'ASC']],
    });
    return rows.map(({ clientKey, seq, lotName, brewerName, state, brewer, updatedAt }) => ({
      key: clientKey,
      seq,
      lotName,
      brewerName,
      state,
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
   * undo one another, and nothing brings a brew back that is stored or cleared already.
   */
  async keep(key: string, brew: RunningBrewDto, person: PersonModel): Promise<{ seq: number }> {
    const fault = brew.trace && traceFault(brew.trace);
    if (fault) {
      throw invalidField({ field: 'field' in fault ? fault.field : 'trace', message: fault.message });
    }
    const trace = brew.trace && JSON.stringify({ atMs: brew.trace.atMs, massG: brew.trace.massG });
    // Looked up by the statement that writes: a brew that is being stored at this moment is waited for. A page that
    // hears no scale takes no curve away.
    await this.sequelize.query(
      `INSERT INTO running_brews
        (client_key, lot_name, brewer_name, seq, state, trace, brewed_by, created_at, updated_at)
      SELECT
        :key, :lotName, :brewerName, :seq, :state, :trace, :personId, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)
      FROM DUAL WHERE NOT EXISTS (SELECT 1 FROM brews WHERE client_key = :key)
      ON DUPLICATE KEY UPDATE
        state = IF(VALUES(seq) > seq, VALUES(state), state),
        trace = IF(VALUES(seq) > seq, COALESCE(VALUES(trace), trace), trace),
        updated_at = IF(VALUES(seq) > seq, VALUES(updated_at), updated_at),
        seq = GREATEST(seq, VALUES(seq))`,
      { replacements: { key, ...brew, trace, personId: person.id } },
    );
    const kept = await RunningBrewModel.findByPk(key);
    return { seq: kept?.seq ?? brew.seq };
  }

  async clear(key: string): Promise<void> {
    await RunningBrewModel.destroy({ where: { clientKey: key } });
  }
}
