import { Injectable } from '@nestjs/common';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { ImportReport, ImportTaken, ImportView } from '@vendu/contract';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { inTransaction } from '../writing/transactions.js';
import { Writing } from '../writing/writing.js';
import { houseIn, keepHouse, putHouse } from './house-in-file.js';
import { importLab } from './import-lab.js';
import { ImportModel } from './import.model.js';
import type { LabFile } from './lab-file.js';
import { rememberRows, removeRows } from './rows-that-came.js';
import type { Standings } from './standing.js';
import { TABLE_RULES } from './table-rules.js';

/** So many are listed: what came longer ago has been worked with since. */
const MOST_LISTED = 10;

/** Takes the file that an export makes into this lab: what is new comes in, what is here stays, and what came can go again. */
@Injectable()
export class LabImportService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly writing: Writing,
  ) {}

  async all(): Promise<ImportView[]> {
    const imports = await ImportModel.findAll({
      include: [{ model: PersonModel, as: 'taker' }],
      order: [['id', 'DESC']],
      limit: MOST_LISTED,
    });
    return imports.map(viewOf);
  }

  /** What the file would bring; nothing is stored. */
  async report(file: LabFile): Promise<ImportReport> {
    return reportOf(file, await importLab(this.sequelize, file, false));
  }

  /** @throws ProblemError `not-readable` where the file does not hold together; nothing is stored then */
  take(file: LabFile, fileName: string, person: PersonModel): Promise<ImportTaken> {
    return inTransaction(this.sequelize, async () => {
      const isEmpty = (await LotModel.count()) === 0;
      const standings = await importLab(this.sequelize, file, true);
      const report = reportOf(file, standings);
      if (!report.counts.some(({ fresh }) => fresh > 0)) return { ...report, taken: null };
      const house = isEmpty ? await houseIn(this.sequelize, file) : null;
      const houseBefore = house === null ? null : await keepHouse(this.sequelize);
      if (house) await putHouse(this.sequelize, house);
      const lotIds = standings.lotsTouched();
      for (const lotId of standings.lotsToCompute()) await this.writing.bringUpToDate(lotId);
      const taken = await ImportModel.create({
        fileName,
        madeAt: file.madeAt,
        counts: report.counts,
        lotIds,
        houseBefore,
        takenBy: person.id,
      });
      await rememberRows(this.sequelize, taken.id, standings);
      taken.taker = person;
      return { ...report, taken: viewOf(taken) };
    });
  }

  /** @throws ProblemError `conflict` where it cannot go any more */
  undo(importId: number): Promise<ImportView> {
    return inTransaction(this.sequelize, async () => {
      const taken = await ImportModel.findByPk(importId, {
        include: [{ model: PersonModel, as: 'taker' }],
        lock: true,
      });
      if (!taken) throw notFound('import');
      if (taken.undoneAt !== null) return viewOf(taken);
      await this.sequelize.query('SELECT id FROM lots WHERE id IN (:ids) ORDER BY id FOR UPDATE', {
        type: QueryTypes.SELECT,
        replacements: { ids: [0, ...taken.lotIds] },
      });
      await removeRows(this.sequelize, importId);
      if (taken.houseBefore) await putHouse(this.sequelize, taken.houseBefore);
      const staying = await LotModel.findAll({
        where: { id: { [Op.in]: taken.lotIds } },
        attributes: ['id'],
      });
      for (const { id } of staying) await this.writing.bringUpToDate(id);
      await taken.update({ undoneAt: new Date() });
      return viewOf(taken);
    });
  }
}

function reportOf(file: LabFile, standings: Standings): ImportReport {
  const { conflicts, remarks } = standings;
  const counts = standings.counts(Object.values(TABLE_RULES).map(({ words }) => words));
  return { madeAt: file.madeAt.toISOString(), counts, conflicts, remarks };
}

function viewOf({ id, fileName, madeAt, counts, taker, createdAt, undoneAt }: ImportModel): ImportView {
  return {
    id,
    fileName,
    madeAt: madeAt.toISOString(),
    counts,
    takenBy: taker?.name ?? '',
    createdAt: createdAt.toISOString(),
    undoneAt: undoneAt?.toISOString() ?? null,
  };
}
