import type { PaperBody, PaperFold, PaperSeating } from '@vendu/core';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

@Table({ tableName: 'papers', version: 'revision' })
export class PaperModel extends Model<InferAttributes<PaperModel>, InferCreationAttributes<PaperModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.DOUBLE) declare resistancePerM: number;
  @Column(DataType.INTEGER) declare rinseG: number;
  @Column(DataType.STRING) declare fold: PaperFold | null;
  @Column(DataType.STRING) declare seating: PaperSeating | null;
  @Column(DataType.STRING) declare body: PaperBody | null;
  @Column(DataType.BOOLEAN) declare isBleached: boolean | null;
  @Column(DataType.INTEGER) declare soakMin: number | null;
  declare revision: CreationOptional<number>;
}
