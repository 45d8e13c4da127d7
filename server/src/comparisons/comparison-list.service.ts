import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { checkDesign, housePositions, PROCESS_WORDS, type ComparedAxis, type Process } from '@vendu/core';
import type { ComparisonListItem, ComparisonsView } from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { BlindAnswerModel } from './blind-answer.model.js';
import { BlindPlaceModel } from './blind-place.model.js';
import { BlindTestModel, isOver } from './blind-test.model.js';
import { resultsOf } from './blind-views.js';
import { ComparisonReader } from './comparison-reader.js';

/** The newest; older ones are found from their lots. */
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
  place: number;
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

/** All comparisons in short, and what the house found out by them. */
@Injectable()
export class ComparisonListService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: ComparisonReader,
  ) {}

  async list(): Promise<ComparisonsView> {
    const [rows, arms, tests] = await Promise.all([
      this.sequelize.query<Row>(LIST, { type: QueryTypes.SELECT }),
      this.sequelize.query<ArmRow>(LIST_ARMS, { type: QueryTypes.SELECT }),
      BlindTestModel.findAll({
        include: [{ model: BlindPlaceModel, separate: true, include: [BlindAnswerModel] }],
        order: ['id'],
      }),
    ]);
    const comparisons = rows.map((row) =>
      listItem(
        row,
        arms.filter(({ comparisonId }) => comparisonId === row.id),
        tests.filter(({ comparisonId }) => comparisonId === row.id),
      ),
    );
    return { comparisons, positions: await this.positions(comparisons, arms, tests) };
  }

  private async positions(
    comparisons: readonly ComparisonListItem[],
    arms: readonly ArmRow[],
    tests: readonly BlindTestModel[],
  ) {
    const opened = comparisons.filter(({ tests: own }) => own.some(({ state }) => state === 'opened'));
    const confounded = new Map<number, boolean>();
    for (const { id } of opened) {
      const faults = checkDesign(await this.reader.read(id));
      confounded.set(
        id,
        faults.some(({ isConfounding }) => isConfounding),
      );
    }
    return housePositions(
      opened.flatMap(({ id, asks, lots }) => {
        const processes = [
          ...new Set(arms.filter(({ comparisonId }) => comparisonId === id).map(({ process }) => process)),
        ];
        const [process] = processes;
        return tests
          .filter((test) => test.comparisonId === id && test.openedAt !== null)
          .map((test) => ({
            comparisonId: id,
            asks,
            process: processes.length === 1 && process ? `${PROCESS_WORDS[process].toLowerCase()} lots` : '',
            lots: lots.length,
            tasters: tastersOf(test),
            isFound: resultsOf(test).some(({ isFound }) => isFound),
            isConfounded: confounded.get(id) ?? true,
          }));
      }),
    );
  }
}

const tastersOf = ({ places }: BlindTestModel) => places.filter(({ answers }) => answers.length > 0).length;

function listItem(row: Row, arms: readonly ArmRow[], tests: readonly BlindTestModel[]): ComparisonListItem {
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
    tests: tests.map((test) => ({
      method: test.method,
      state: test.openedAt !== null ? 'opened' : isOver(test) ? 'ended' : 'out',
      isFound: test.openedAt === null ? null : resultsOf(test).some(({ isFound }) => isFound),
      tasters: tastersOf(test),
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
  SELECT arms.comparison_id AS comparisonId, arms.place, versions.number AS versionNumber,
    versions.id AS recipeVersionId, versions.based_on AS basedOn, recipes.id AS recipeId, recipes.brewer_id AS brewerId, recipes.paper_id AS paperId,
    brewers.name AS brewerName, lots.id AS lotId, lots.name AS lotName, lots.process
  FROM comparison_arms AS arms
  JOIN recipe_versions AS versions ON versions.id = arms.recipe_version_id
  JOIN recipes ON recipes.id = versions.recipe_id
  JOIN lots ON lots.id = recipes.lot_id JOIN brewers ON brewers.id = recipes.brewer_id
  ORDER BY arms.comparison_id, arms.place`;
