import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import type { RunningBrewDto, RunningBrewView } from '@vendu/contract';
import { BrewModel } from '../brews/brew.model.js';
import { PersonModel } from '../people/person.model.js';
import { RunningBrewModel } from './running-brew.model.js';

@Injectable()
export class RunningBrewsService {
  constructor(private readonly sequelize: Sequelize) {}

  /** All brews on benches of the lab, so that another device can go on with one. */
  async all(): Promise<RunningBrewView[]> {
    const rows = await RunningBrewModel.findAll({ include: [PersonModel], order: [['createdAt', 'ASC']] });
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

  /**
   * Keeps how far a brew is. What is answered is on the disk. Changes that overtook each other on the way do not
   * undo one another, and nothing brings a brew back that is stored or cleared already.
   */
  async keep(key: string, brew: RunningBrewDto, person: PersonModel): Promise<{ seq: number }> {
    if ((await BrewModel.count({ where: { clientKey: key } })) > 0) return { seq: brew.seq };
    await this.sequelize.query(
      `INSERT INTO running_brews (client_key, lot_name, brewer_name, seq, state, brewed_by, created_at, updated_at)
      VALUES (:key, :lotName, :brewerName, :seq, :state, :personId, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))
      ON DUPLICATE KEY UPDATE
        state = IF(VALUES(seq) > seq, VALUES(state), state),
        updated_at = IF(VALUES(seq) > seq, VALUES(updated_at), updated_at),
        seq = GREATEST(seq, VALUES(seq))`,
      { replacements: { key, ...brew, personId: person.id } },
    );
    const kept = await RunningBrewModel.findByPk(key);
    return { seq: kept?.seq ?? brew.seq };
  }

  async clear(key: string): Promise<void> {
    await RunningBrewModel.destroy({ where: { clientKey: key } });
  }
}
