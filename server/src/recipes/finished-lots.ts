import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import {
  MODEL_VERSION,
  type BaseProcess,
  type BrewerShape,
  type BrewPlan,
  type FinishedLot,
  type LotEvidence,
  type Process,
  elevationOf,
  type ElevationWord,
  type RoastLevel,
} from '@vendu/core';
import { parsedJson } from '../database/raw-row.js';

interface FinishedRow {
  lotId: number;
  name: string;
  process: Process;
  baseProcess: BaseProcess | null;
  additions: string;
  /** As MariaDB gives it. */
  isDecaffeinated: number;
  elevationFromM: number | null;
  elevationToM: number | null;
  elevationWord: ElevationWord | null;
  roastLevel: RoastLevel | null;
  variety: string;
  brewerShape: BrewerShape;
  startPlan: BrewPlan | string;
  plan: BrewPlan | string;
  evidence: LotEvidence | string | null;
}

/** Newest finished recipes looked through; older ones tell little of today's house. */
const LOOKED_THROUGH = 500;

/**
 * The recipes that were accepted last, by an index and not by looking at all: of a version each counts, so that a recipe
 * that was accepted again and again takes several of these.
 */
const NEWEST_ACCEPTED = `(SELECT recipe_id, MAX(accepted_at) AS accepted_at, MAX(number) AS number
  FROM (SELECT recipe_id, accepted_at, number FROM recipe_versions WHERE accepted_at IS NOT NULL
    ORDER BY accepted_at DESC LIMIT ${3 * LOOKED_THROUGH}) AS newest
  GROUP BY recipe_id)`;

/** The lab's finished lots but for one: those whose recipe was accepted, newest first. */
export async function readFinishedLots(sequelize: Sequelize, butLotId: number): Promise<FinishedLot[]> {
  const rows = await sequelize.query<FinishedRow>(
    `SELECT lots.id AS lotId, lots.name, lots.process, lots.base_process AS baseProcess, lots.additions,
      lots.is_decaffeinated AS isDecaffeinated, lots.elevation_from_m AS elevationFromM,
      lots.elevation_to_m AS elevationToM, lots.elevation_word AS elevationWord, lots.variety, IF(lots.evidence_model = :model, lots.evidence, NULL) AS evidence, brewers.shape AS brewerShape,
      (SELECT level FROM roast_batches WHERE roast_batches.lot_id = lots.id ORDER BY is_sample, roasted_on DESC, id DESC LIMIT 1) AS roastLevel,
      first.plan AS startPlan, ended.plan
    FROM ${NEWEST_ACCEPTED} AS accepted
    JOIN recipes ON recipes.id = accepted.recipe_id
    JOIN recipe_versions AS ended ON ended.recipe_id = recipes.id AND ended.number = accepted.number
    JOIN recipe_versions AS first ON first.recipe_id = recipes.id AND first.number = 1
    JOIN lots ON lots.id = recipes.lot_id
    JOIN brewers ON brewers.id = recipes.brewer_id
    WHERE lots.id <> :lotId
    ORDER BY accepted.accepted_at DESC LIMIT ${LOOKED_THROUGH}`,
    { type: QueryTypes.SELECT, replacements: { lotId: butLotId, model: MODEL_VERSION } },
  );
  return rows.map(
    ({
      elevationFromM,
      elevationToM,
      elevationWord,
      isDecaffeinated,
      startPlan,
      plan,
      evidence,
      ...row
    }): FinishedLot => ({
      ...row,
      isDecaffeinated: Boolean(isDecaffeinated),
      elevation: elevationOf({ elevationFromM, elevationToM, elevationWord }),
      startGrindUm: parsedJson<BrewPlan>(startPlan).grindUm,
      plan: parsedJson<BrewPlan>(plan),
      evidence: evidence === null ? null : parsedJson<LotEvidence>(evidence),
    }),
  );
}

interface TaughtRow {
  lotId: number;
  brewerShape: BrewerShape;
  evidence: LotEvidence | string;
}

/**
 * What the lab's finished lots but for one have taught, newest first: their plans are left where they are, since a recipe
 * is read again after each of its brews is changed.
 */
export async function readTaught(
  sequelize: Sequelize,
  butLotId: number,
): Promise<Pick<FinishedLot, 'lotId' | 'brewerShape' | 'evidence'>[]> {
  const rows = await sequelize.query<TaughtRow>(
    `SELECT lots.id AS lotId, brewers.shape AS brewerShape, lots.evidence
    FROM ${NEWEST_ACCEPTED} AS accepted
    JOIN recipes ON recipes.id = accepted.recipe_id
    JOIN brewers ON brewers.id = recipes.brewer_id
    JOIN lots ON lots.id = recipes.lot_id
    WHERE lots.evidence_model = :model AND lots.evidence IS NOT NULL AND lots.id <> :lotId
    ORDER BY accepted.accepted_at DESC LIMIT ${LOOKED_THROUGH}`,
    { type: QueryTypes.SELECT, replacements: { lotId: butLotId, model: MODEL_VERSION } },
  );
  return rows.map(({ evidence, ...row }) => ({ ...row, evidence: parsedJson<LotEvidence>(evidence) }));
}
