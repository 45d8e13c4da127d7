import type { PaperFold } from '@vendu/core';
import { Column, DataType, Model, Table } from 'sequelize-typescript';

@Table({ tableName: 'papers', version: 'revision' })
export class PaperModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.DOUBLE) declare resistancePerM: number;
  @Column(DataType.INTEGER) declare rinseG: number;
  @Column(DataType.STRING) declare fold: PaperFold | null;
  declare revision: number;
}
