import { Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { NonAttribute } from 'sequelize';
import type { Process } from '@vendu/core';
import { RoastBatchModel } from './roast-batch.model.js';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'lots', version: 'revision' })
export class LotModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.CHAR(2)) declare country: string;
  @Column(DataType.STRING) declare region: string;
  @Column(DataType.STRING) declare farm: string;
  @Column(DataType.STRING) declare producer: string;
  @Column(DataType.STRING) declare variety: string;
  @Column(DataType.STRING) declare process: Process;
  @Column(DataType.STRING) declare fermentationNote: string;
  @Column(DataType.STRING) declare additions: string;
  @Column(DataType.INTEGER) declare elevationFromM: number | null;
  @Column(DataType.INTEGER) declare elevationToM: number | null;
  @Column(DataType.STRING) declare harvest: string;
  @Column(DataType.STRING) declare drying: string;
  @Column(DataType.STRING) declare labelNotes: string;
  @DecimalColumn(9, 1) declare stockG: number | null;
  @Column(DataType.INTEGER) declare createdBy: number;
  declare revision: number;
  @HasMany(() => RoastBatchModel, 'lotId') declare roastBatches: NonAttribute<RoastBatchModel[]>;
}
