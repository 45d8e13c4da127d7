import { Injectable } from '@nestjs/common';
import { Feed } from 'feed';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { planChanges } from '@vendu/core';
import type { PublishedCard } from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { PublicationModel } from '../publications/publication.model.js';

/** The newest; whoever looks less often has the page. */
const MOST_ENTRIES = 40;

interface Row {
  id: number;
  recipeId: number;
  slug: string;
  card: PublishedCard | string;
  createdAt: Date | string;
  withdrawnAt: Date | string | null;
  isRecalled: boolean | number;
  versionNumber: number;
}

/** What became public, what changed in it, and what was taken back, newest first. */
@Injectable()
export class FollowService {
  constructor(private readonly sequelize: Sequelize) {}

  async feed(origin: string): Promise<string> {
    const rows = await this.sequelize.query<Row>(
      `SELECT publications.id, publications.recipe_id AS recipeId, recipes.slug, publications.card,
        publications.created_at AS createdAt, publications.withdrawn_at AS withdrawnAt,
        publications.is_recalled AS isRecalled, versions.number AS versionNumber
      FROM publications
      JOIN recipes ON recipes.id = publications.recipe_id
      JOIN recipe_versions AS versions ON versions.id = publications.recipe_version_id
      WHERE publications.card IS NOT NULL AND recipes.slug IS NOT NULL
      ORDER BY publications.id DESC LIMIT ${MOST_ENTRIES}`,
      { type: QueryTypes.SELECT },
    );
    const told = await Promise.all(rows.map((row) => this.told(row)));
    const [first] = told;
    const feed = new Feed({
      id: `${origin}/r`,
      link: `${origin}/r`,
      title: first ? asHtml(`${first.house}: filter recipes`) : 'Filter recipes',
      copyright: '',
      feedLinks: { atom: `${origin}/api/published.atom` },
      // A lab without publications has been so since it has been.
      updated: told.map(({ at }) => at).toSorted((a, b) => b.getTime() - a.getTime())[0] ?? new Date(0),
    });
    for (const { id, slug, title, words, at, publishedAt } of told) {
      feed.addItem({
        id: `${origin}/r/${slug}#publication-${id}`,
        link: `${origin}/r/${slug}`,
        title: asHtml(title),
        description: asHtml(words),
        date: at,
        published: publishedAt,
      });
    }
    return feed.atom1();
  }

  private async told({ id, recipeId, slug, versionNumber, ...row }: Row) {
    const card = parsedJson<PublishedCard>(row.card);
    const [publishedAt, withdrawnAt] = [new Date(row.createdAt), row.withdrawnAt];
    const recalled = Boolean(row.isRecalled) && withdrawnAt !== null;
    const before = recalled ? null : await this.before(recipeId, id);
    const changes = before ? planChanges({ from: before.plan, to: card.plan }) : [];
    return {
      id,
      slug,
      house: card.houseName,
      title: `${card.lotName}, ${card.brewerName}, version ${versionNumber}${recalled ? ': recalled' : ''}`,
      words: recalled
        ? 'Recalled by the house: brew by another recipe until there is a new one.'
        : changes.length > 0
          ? `Changed: ${changes.map(({ figure, from, to }) => `${figure} ${from} → ${to}`).join(', ')}.`
          : card.introduction || 'A new recipe.',
      at: recalled ? new Date(withdrawnAt) : publishedAt,
      publishedAt,
    };
  }

  /** The card that it took the place of. */
  private async before(recipeId: number, id: number): Promise<PublishedCard | null> {
    const row = await PublicationModel.findOne({
      where: { recipeId, id: { [Op.lt]: id } },
      order: [['id', 'DESC']],
      attributes: ['card'],
    });
    return row?.card ?? null;
  }
}

/** Readers take what an entry says for HTML: what somebody wrote must stay words there. */
const asHtml = (words: string) =>
  words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
