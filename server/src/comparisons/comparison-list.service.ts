import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import {
  checkDesign,
  housePositions,
  PROCESS_WORDS,
  type BlindMethod,
  type ComparedAxis,
  type HousePosition,
  type Process,
} from '@vendu/core';
import type { ComparisonListItem } from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { ComparisonReader } from './comparison-reader.js';

/** The newest; older ones are found from their brews. */
const MOST_COMPARISONS = 200;

interface Row {
  id: number;
  question: string;
  asks: ComparedAxis[] | string;
  by: string;
  at: Date;
  brews: number | bigint;
}

interface ArmRow {
  comparisonId: number;
  versionNumber: number;
  recipeVersionId: number;
  recipeId: number;
  basedOn: number | null;
  brewerId: number;
  paperId: number;
  brewerName: string;
  lotId: number;
  lotName: string;
  process: Process;
}

interface TestRow {
  comparisonId: number;
  method: BlindMethod;
  isOpened: 0 | 1;
  isOver: 0 | 1;
  isFound: 0 | 1 | null;
  tasters: number | null;
}

/** All comparisons in short, and what the house found out by them. */
@Injectable()
export class ComparisonListService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: ComparisonReader,
  ) {}

  async list(): Promise<ComparisonListItem[]> {
    const { rows, arms, tests } = await this.rows();
    return rows.map((row) => {
      const own = <T extends { comparisonId: number }>(of: readonly T[]) =>
        of.filter(({ comparisonId }) => comparisonId === row.id);
      return listItem(row, own(arms), own(tests));
    });
  }

  /** What blind tests with a sound design say, by question and process. */
  async positions(): Promise<HousePosition[]> {
    const { rows, arms, tests } = await this.rows();
    const opened = tests.filter(({ isOpened }) => isOpened);
    const designs = await this.reader.designs([...new Set(opened.map(({ comparisonId }) => comparisonId))]);
    return housePositions(
      opened.flatMap(({ comparisonId, isFound, tasters }) => {
        const row = rows.find(({ id }) => id === comparisonId);
        const design = designs.get(comparisonId);
        if (!row || !design) return [];
        const own = arms.filter((arm) => arm.comparisonId === comparisonId);
        const [process, ...others] = new Set(own.map((arm) => arm.process));
        return [
          {
            comparisonId,
            asks: parsedJson(row.asks),
            process: process && others.length === 0 ? `${PROCESS_WORDS[process].toLowerCase()} lots` : '',
            tasters: tasters ?? 0,
            isFound: isFound === 1,
            isConfounded: checkDesign(design).some(({ isConfounding }) => isConfounding),
          },
        ];
      }),
    );
  }

  private async rows() {
    const type = QueryTypes.SELECT as const;
    const [rows, arms, tests] = await Promise.all([
      this.sequelize.query<Row>(LIST, { type }),
      this.sequelize.query<ArmRow>(LIST_ARMS, { type }),
      this.sequelize.query<TestRow>(LIST_TESTS, { type, replacements: { now: new Date() } }),
    ]);
    return { rows, arms, tests };
  }
}

function listItem(row: Row, arms: readonly ArmRow[], tests: readonly TestRow[]): ComparisonListItem {
  return {
    id: row.id,
    question: row.question,
    asks: parsedJson(row.asks),
    made: { by: row.by, at: row.at.toISOString() },
    lots: [...new Map(arms.map(({ lotId, lotName }) => [lotId, { id: lotId, name: lotName }])).values()],
    arms: arms.map(({ brewerName, versionNumber, recipeVersionId, brewerId, paperId }) => ({
      name: `${brewerName}, version ${versionNumber}`,
      recipeVersionId,
      brewerId,
      paperId,
    })),
    brews: Number(row.brews),
    isOfChange: arms.some((arm) =>
      arms.some(({ recipeId, versionNumber }) => recipeId === arm.recipeId && versionNumber === arm.basedOn),
    ),
    tests: tests.map(({ method, isOpened, isOver, isFound, tasters }) => ({
      method,
      state: isOpened ? 'opened' : isOver ? 'ended' : 'out',
      isFound: isOpened ? isFound === 1 : null,
      tasters: tasters ?? 0,
    })),
  };
}

const LIST = `
  SELECT comparisons.id, comparisons.question, comparisons.asks, people.name AS \`by\`,
    comparisons.created_at AS at,
    (SELECT COUNT(*) FROM comparison_brews JOIN comparison_arms AS arms ON arms.id = comparison_brews.comparison_arm_id
      WHERE arms.comparison_id = comparisons.id) AS brews
  FROM comparisons JOIN people ON people.id = comparisons.made_by
  ORDER BY comparisons.id DESC LIMIT ${MOST_COMPARISONS}`;

const LIST_ARMS = `
  SELECT arms.comparison_id AS comparisonId, versions.number AS versionNumber,
    versions.id AS recipeVersionId, versions.based_on AS basedOn, recipes.id AS recipeId,
    recipes.brewer_id AS brewerId, recipes.paper_id AS paperId,
    brewers.name AS brewerName, lots.id AS lotId, lots.name AS lotName, lots.process
  FROM comparison_arms AS arms
  JOIN recipe_versions AS versions ON versions.id = arms.recipe_version_id
  JOIN recipes ON recipes.id = versions.recipe_id
  JOIN lots ON lots.id = recipes.lot_id JOIN brewers ON brewers.id = recipes.brewer_id
  ORDER BY arms.comparison_id, arms.place`;

const LIST_TESTS = `
  SELECT comparison_id AS comparisonId, method, opened_at IS NOT NULL AS isOpened,
    ended_at IS NOT NULL OR ends_at <= :now AS isOver, is_found AS isFound, taster_count AS tasters
  FROM blind_tests ORDER BY id`;
