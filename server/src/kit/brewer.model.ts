import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { BrewerShape } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'brewers' })
export class BrewerModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare shape: BrewerShape;
  @Column(DataType.STRING) declare outlet: string;
  @Column(DataType.STRING) declare paper: string;
  @DecimalColumn(5, 1) declare usualDoseG: number;
  @Column(DataType.INTEGER) declare capacityG: number;
}
