import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BrewerShape, Ribs, WallMaterial } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';
import { PaperModel } from './paper.model.js';

@Table({ tableName: 'brewers', version: 'revision' })
export class BrewerModel extends Model<InferAttributes<BrewerModel>, InferCreationAttributes<BrewerModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare shape: BrewerShape;
  @DecimalColumn(5, 1) declare topDiameterMm: number;
  @DecimalColumn(5, 1) declare bottomDiameterMm: number;
  @DecimalColumn(5, 1) declare heightMm: number;
  @DecimalColumn(5, 1) declare outletDiameterMm: number;
  @Column(DataType.INTEGER) declare outletCount: number;
  @Column(DataType.STRING) declare ribs: Ribs | null;
  @Column(DataType.STRING) declare wallMaterial: WallMaterial | null;
  @DecimalColumn(4, 1) declare wallMm: number | null;
  @Column(DataType.INTEGER) declare paperId: number;
  @DecimalColumn(5, 1) declare usualDoseG: number;
  @Column(DataType.INTEGER) declare capacityG: number;
  @Column(DataType.BOOLEAN) declare hasValve: CreationOptional<boolean>;
  @DecimalColumn(4, 1) declare advisedLowC: number | null;
  @DecimalColumn(4, 1) declare advisedHighC: number | null;
  @Column(DataType.INTEGER) declare bodyOfId: number | null;
  declare revision: CreationOptional<number>;
  @BelongsTo(() => PaperModel, 'paperId') declare paper: NonAttribute<PaperModel>;
}
