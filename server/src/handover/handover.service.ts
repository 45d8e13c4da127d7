import { Injectable } from '@nestjs/common';
import { subHours } from 'date-fns';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { HandoverEvent, HandoverNoteDto, HandoverView } from '@vendu/contract';
import { numberOrNull } from '../database/raw-row.js';
import { PersonModel } from '../people/person.model.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { HandoverNoteModel } from './handover-note.model.js';

/** A shift and the one before it. */
const LOOKS_BACK_H = 24;
const MOST_EVENTS = 40;

interface EventRow extends Omit<HandoverEvent, 'at' | 'number' | 'tdsPercent'> {
  at: Date;
  number: number | bigint;
  tdsPercent: string | number | null;
}

/** The day itself tells what was done; what it cannot tell somebody writes down. */
@Injectable()
export class HandoverService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly writing: Writing,
  ) {}

  async read(): Promise<HandoverView> {
    const since = subHours(new Date(), LOOKS_BACK_H);
    const [rows, notes] = await Promise.all([
      this.sequelize.query<EventRow>(EVENTS, { type: QueryTypes.SELECT, replacements: { since } }),
      HandoverNoteModel.findAll({
        where: { createdAt: { [Op.gte]: since } },
        include: [PersonModel],
        order: [['id', 'DESC']],
      }),
    ]);
    return {
      events: rows.map(({ at, number, tdsPercent, ...event }) => ({
        ...event,
        at: at.toISOString(),
        number: Number(number),
        tdsPercent: numberOrNull(tdsPercent),
      })),
      notes: notes.map(({ id, text, writer, createdAt }) => ({
        id,
        text,
        by: writer.name,
        at: createdAt.toISOString(),
      })),
    };
  }

  async leave(
    { text }: HandoverNoteDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<HandoverView> {
    await this.writing.once(request, async () => {
      const { id } = await HandoverNoteModel.create({ text: text.trim(), writtenBy: person.id });
      return id;
    });
    return this.read();
  }
}

const VERSION_EVENT = (kind: string, at: string, by: string) => `
  SELECT ${at} AS at, people.name AS \`by\`, '${kind}' AS kind, lots.id AS lotId, lots.name AS lotName,
    versions.number AS number, NULL AS tdsPercent
  FROM recipe_versions AS versions
  JOIN recipes ON recipes.id = versions.recipe_id JOIN lots ON lots.id = recipes.lot_id
  JOIN people ON people.id = ${by}
  WHERE ${at} >= :since`;

const PUBLICATION_EVENT = (kind: string, at: string, condition: string) => `
  SELECT ${at} AS at, people.name AS \`by\`, '${kind}' AS kind, lots.id AS lotId, lots.name AS lotName,
    versions.number AS number, NULL AS tdsPercent
  FROM publications JOIN recipe_versions AS versions ON versions.id = publications.recipe_version_id
  JOIN recipes ON recipes.id = publications.recipe_id JOIN lots ON lots.id = recipes.lot_id
  JOIN people ON people.id = publications.published_by
  WHERE ${at} >= :since AND ${condition}`;

/** What was done in the last day, the newest first. */
const EVENTS = `
  SELECT brews.started_at AS at, people.name AS \`by\`, 'brewed' AS kind, lots.id AS lotId, lots.name AS lotName,
    (SELECT COUNT(*) FROM brews AS before_it WHERE before_it.lot_id = brews.lot_id
      AND (before_it.started_at, before_it.id) <= (brews.started_at, brews.id)) AS number,
    (SELECT AVG(tds_percent) FROM readings WHERE readings.brew_id = brews.id AND readings.removed_at IS NULL) AS tdsPercent
  FROM brews JOIN lots ON lots.id = brews.lot_id JOIN people ON people.id = brews.brewed_by
  WHERE brews.started_at >= :since AND brews.set_aside_at IS NULL AND brews.is_simulated = FALSE
  UNION ALL ${VERSION_EVENT('accepted', 'versions.accepted_at', 'versions.accepted_by')}
  UNION ALL ${VERSION_EVENT('signed-off', 'versions.signed_off_at', 'versions.signed_off_by')}
  UNION ALL ${PUBLICATION_EVENT('published', 'publications.created_at', 'TRUE')}
  UNION ALL ${PUBLICATION_EVENT('withdrawn', 'publications.withdrawn_at', 'publications.is_recalled')}
  ORDER BY at DESC LIMIT ${MOST_EVENTS}`;
